import { type Rate, rateOf } from './rates.js';

/** A finding that was treated: what was done at each step, and the result of the last. */
interface TakenOn {
  disorder: string;
  steps: readonly (readonly string[])[];
  closed: boolean;
  worked: boolean;
}

/**
 * Returns the key of a problem and remedy in the local success rates.
 * @example helpedKey('aphids', 'hose-off') // 'aphids:hose-off'
 */
export const helpedKey = (disorder: string, remedy: string): string => `${disorder}:${remedy}`;

/** The garden's own results. A step followed by another was not enough; the last one counts once it is judged. */
export function helpedHere(list: readonly TakenOn[]): Map<string, Rate> {
  const counts = new Map<string, { worked: number; tried: number }>();
  const count = (key: string, worked: boolean): void => {
    const c = counts.get(key) ?? { worked: 0, tried: 0 };
    counts.set(key, { worked: c.worked + (worked ? 1 : 0), tried: c.tried + 1 });
  };
  for (const t of list)
    t.steps.forEach((remedies, i) => {
      const last = i === t.steps.length - 1;
      if (last && !t.closed) return;
      for (const r of remedies) count(helpedKey(t.disorder, r), last && t.worked);
    });
  return new Map([...counts].map(([key, c]) => [key, rateOf(c.worked, c.tried)]));
}
