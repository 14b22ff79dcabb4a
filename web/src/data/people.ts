import type {
  AccessKeyDto,
  AccessKeyInput,
  InvitationInput,
  InvitationView,
  Me,
  NewAccessKey,
  NewLink,
  PeopleDto,
  Role,
} from '@candid-leaf/contract';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';
import { accountHere } from '../offline/account';

export const peopleQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'people'] as const,
    queryFn: () => api<PeopleDto>('GET', apiOf(gardenId, 'people')),
    // a new member may have written what is shown now
    staleTime: 0,
  });

export const keysQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'keys'] as const,
    queryFn: () => api<AccessKeyDto[]>('GET', apiOf(gardenId, 'keys')),
  });

export const invitationQuery = (secret: string) =>
  queryOptions({
    queryKey: ['invitation', secret] as const,
    queryFn: () => api<InvitationView>('GET', `/invitations/${encodeURIComponent(secret)}`),
  });

export const meQuery = () => queryOptions({ queryKey: queryKeys.me, queryFn: () => api<Me>('GET', '/session') });

/** Returns who recorded it, if not the user; null: the user, or unknown. */
export function useNames(gardenId: string): (by: string) => string | null {
  const { data } = useQuery(peopleQuery(gardenId));
  const me = accountHere();
  return (by) => (by === me ? null : (data?.members.find((m) => m.id === by)?.name ?? null));
}

export const inviteSomebody = defineWrite('people.invite', ({ gardenId, ...input }: OfGarden & InvitationInput) =>
  api<NewLink>('POST', apiOf(gardenId, 'invitations'), input),
);
export const takeInvitationBack = defineWrite('people.uninvite', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'invitations', id)),
);
export const setRole = defineWrite('people.role', ({ gardenId, id, role }: OfGarden & { id: string; role: Role }) =>
  api('PUT', apiOf(gardenId, 'people', id), { role }),
);
export const removeMember = defineWrite('people.let-go', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'people', id)),
);
export const makeKey = defineWrite('keys.make', ({ gardenId, ...input }: OfGarden & AccessKeyInput) =>
  api<NewAccessKey>('POST', apiOf(gardenId, 'keys'), input),
);
export const removeKey = defineWrite('keys.remove', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'keys', id)),
);
