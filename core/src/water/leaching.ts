/**
 * Returns the share of dissolved nutrients that leaves with drainage: what drains against what stays, the store at
 * field capacity taken as twice what plants can draw (about half is out of their reach: FAO-56 Table 19; even mixing
 * is judgement).
 * @example washedShare({ drainedMm: 20, tawMm: 80 }) // 0.1111
 */
export const washedShare = (d: { drainedMm: number; tawMm: number }): number =>
  d.drainedMm <= 0 ? 0 : d.drainedMm / (d.drainedMm + 2 * d.tawMm);
