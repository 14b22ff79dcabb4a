/** Strengths of a mixed product that a gardener may choose; never more than the label. */
export const STRENGTHS = [
  ['1', 'as labelled'],
  ['0.5', 'half'],
  ['0.25', 'a quarter'],
] as const;
