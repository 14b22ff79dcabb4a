/**
 * Cache keys of server answers. A write makes `garden` and `plan` stale; the plan takes longer to compute, so it is
 * separate and blocks no one.
 */
export const queryKeys = {
  me: ['me'] as const,
  gardens: ['gardens'] as const,
  garden: (gardenId: string) => ['garden', gardenId] as const,
  practice: ['practice'] as const,
  plan: (gardenId: string) => ['plan', gardenId] as const,
};
