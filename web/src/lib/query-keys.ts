/**
 * Where answers of the server are kept. A write of a garden makes `garden` and `plan` stale, whole; what is reckoned longer (the
 * plan) stands apart, so that nobody waits for it.
 */
export const queryKeys = {
  me: ['me'] as const,
  gardens: ['gardens'] as const,
  garden: (gardenId: string) => ['garden', gardenId] as const,
  practice: ['practice'] as const,
  plan: (gardenId: string) => ['plan', gardenId] as const,
};
