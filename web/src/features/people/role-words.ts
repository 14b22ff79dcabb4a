import type { Role } from '@candid-leaf/contract';

/** Names and descriptions of the roles. */
export const ROLE_WORDS: Record<Role, { name: string; may: string }> = {
  look: { name: 'Viewer', may: 'can see everything, change nothing' },
  record: { name: 'Helper', may: 'can water, look plants over, tick tasks and add records' },
  keep: { name: 'Manager', may: 'can do everything, including beds, plans and people' },
};
export const ROLE_OPTIONS = (Object.keys(ROLE_WORDS) as Role[]).map(
  (role) => [role, `${ROLE_WORDS[role].name}: ${ROLE_WORDS[role].may}`] as const,
);
