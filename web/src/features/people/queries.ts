import type { AccessKeyDto, InvitationView, Me, PeopleDto } from '@candid-leaf/contract';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';
import { accountHere } from '../../offline/account';

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
