import type { DisorderRow } from '@candid-leaf/core/diagnosis';
import { type SignCode, signRow } from '@candid-leaf/core/records';

/** Returns the drawing for a problem: its most certain sign shared with the fewest others. */
export function ownDrawing(d: DisorderRow): SignCode {
  const shown = d.signs.filter(([sign]) => signRow(sign).kind === 'sign');
  return [...shown].sort((a, b) => b[1] / signRow(b[0]).leak ** 0.3 - a[1] / signRow(a[0]).leak ** 0.3)[0]![0];
}
