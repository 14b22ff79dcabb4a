/** Chart paths, drawn by ourselves: a box as wide as there are days and 100 high; a day's middle is at its half. */

export interface Point {
  /** day index */
  i: number;
  y: number;
}

const x = (i: number): string => (i + 0.5).toFixed(1);
const f = (n: number): string => n.toFixed(2);

/** Consecutive days with a value; a gap ends a run. */
export function runs<T>(days: readonly { i: number; of: T | null }[]): { i: number; of: T }[][] {
  const out: { i: number; of: T }[][] = [];
  let last = -2;
  for (const { i, of } of days) {
    if (of === null) continue;
    if (i !== last + 1) out.push([]);
    out.at(-1)!.push({ i, of });
    last = i;
  }
  return out;
}

/** Returns a line through points. */
export const line = (points: readonly Point[]): string =>
  points.map((p, k) => `${k === 0 ? 'M' : 'L'}${x(p.i)} ${f(p.y)}`).join('');

/** Returns the area between two lines, or down to 100. */
export function field(above: readonly Point[], below: readonly Point[] | null = null): string {
  if (above.length === 0) return '';
  const floor = below ?? above.map((p) => ({ i: p.i, y: 100 }));
  return `${line(above)}${[...floor]
    .reverse()
    .map((p) => `L${x(p.i)} ${f(p.y)}`)
    .join('')}Z`;
}

/** Returns the position of a value on a scale: 0 at the top, 100 at the bottom. */
export const heightOf = (value: number, low: number, high: number): number =>
  100 - ((value - low) / (high - low)) * 100;
