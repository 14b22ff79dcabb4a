import type { Role } from '@candid-leaf/contract';

/** What each role is called, and what it may. */
export const ROLE_WORDS: Record<Role, { name: string; may: string }> = {
  look: { name: 'Look', may: 'sees everything, changes nothing' },
  record: { name: 'Record', may: 'waters, looks plants over, ticks, writes down' },
  keep: { name: 'Keep', may: 'does everything, also beds, plans and people' },
};
export const ROLE_OPTIONS = (Object.keys(ROLE_WORDS) as Role[]).map(
  (role) => [role, `${ROLE_WORDS[role].name}: ${ROLE_WORDS[role].may}`] as const,
);
