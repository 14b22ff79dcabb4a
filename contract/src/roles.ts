/** What somebody may do in a garden, each with what stands before it: look at it, record in it, keep it. */
export const ROLES = ['look', 'record', 'keep'] as const;
export type Role = (typeof ROLES)[number];

/** Does a role reach as far as another? */
export const reaches = (role: Role, needed: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(needed);
