import type { Role } from '@candid-leaf/contract';
import { In, IsNull, type EntityManager } from 'typeorm';
import { InvitationEntity } from '../accounts/invitation.entity.js';
import { CalendarLinkEntity } from '../calendar/calendar.entity.js';
import { WateringListEntity } from '../watering-list/watering-list.entity.js';

/** Roles from the least to the most. */
const ROLES: readonly Role[] = ['look', 'record', 'keep'];

/**
 * Ends what a person made in a garden and may no longer make: links that open it, and open invitations to more than their
 * own role. Links whose maker is unknown end with any manager: they may be theirs, and another manager makes new ones.
 * @param member who it is, with the role they had
 * @param role their role from now on; null if they are no longer a member
 */
export async function endLinksOf(
  m: EntityManager,
  gardenId: string,
  member: { accountId: string; role: Role },
  role: Role | null,
): Promise<void> {
  const above = ROLES.slice(role === null ? 0 : ROLES.indexOf(role) + 1);
  await m.delete(InvitationEntity, { gardenId, madeBy: member.accountId, usedBy: IsNull(), role: In(above) });
  if (role === 'keep' || member.role !== 'keep') return;
  for (const madeBy of [member.accountId, IsNull()]) {
    await m.delete(CalendarLinkEntity, { gardenId, madeBy });
    await m.update(WateringListEntity, { gardenId, madeBy, revokedAt: IsNull() }, { revokedAt: new Date() });
  }
}
