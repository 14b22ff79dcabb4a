/** Access to a garden; each role includes those before it: view, record, manage. */
export const ROLES = ['look', 'record', 'keep'] as const;
/** A member's role. */
export type Role = (typeof ROLES)[number];

/** Returns whether a role includes another. */
export const reaches = (role: Role, needed: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(needed);
