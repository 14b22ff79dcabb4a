/**
 * Share of what is dissolved in a root zone that leaves with the water that drains from it: what drains against what stays, the store at field
 * capacity taken as twice what plants can draw from it (about half of it is out of their reach: FAO-56 Table 19; the even mixing is judgement).
 */
export const washedShare = (d: { drainedMm: number; tawMm: number }): number =>
  d.drainedMm <= 0 ? 0 : d.drainedMm / (d.drainedMm + 2 * d.tawMm);
