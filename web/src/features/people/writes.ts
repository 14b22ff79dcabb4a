import type { AccessKeyInput, InvitationInput, NewAccessKey, NewLink, Role } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const inviteSomebody = defineWrite('people.invite', ({ gardenId, ...input }: OfGarden & InvitationInput) =>
  api<NewLink>('POST', apiOf(gardenId, 'invitations'), input),
);
export const takeInvitationBack = defineWrite('people.uninvite', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'invitations', id)),
);
export const setRole = defineWrite('people.role', ({ gardenId, id, role }: OfGarden & { id: string; role: Role }) =>
  api('PUT', apiOf(gardenId, 'people', id), { role }),
);
export const letGo = defineWrite('people.let-go', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'people', id)),
);
export const makeKey = defineWrite('keys.make', ({ gardenId, ...input }: OfGarden & AccessKeyInput) =>
  api<NewAccessKey>('POST', apiOf(gardenId, 'keys'), input),
);
export const removeKey = defineWrite('keys.remove', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'keys', id)),
);
