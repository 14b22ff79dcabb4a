import type { DisorderCode } from '@candid-leaf/core/records';
import { CLIMATES, type Counted, season } from './seasons.js';

/** `npm run risks` lives through 200 seasons and prints what docs/risks.md gives; `npm test` through twelve. */
const SHOW = process.env.SHOW_RISKS !== undefined;
const SEASONS = SHOW ? 34 : 1;

test('seasons in six climates', () => {
  const all = new Map<DisorderCode, Counted>();
  const lines: string[] = [];
  for (const at of CLIMATES) {
    let [weeks, quiet] = [0, 0];
    const here = new Map<DisorderCode, Counted>();
    for (let seed = 0; seed < SEASONS; seed++) {
      const r = season(at, seed);
      weeks += r.weeks;
      quiet += r.quiet;
      for (const [d, x] of r.by)
        for (const into of [all, here]) {
          const sum = into.get(d) ?? { alarms: 0, hits: 0, misses: 0 };
          into.set(d, { alarms: sum.alarms + x.alarms, hits: sum.hits + x.hits, misses: sum.misses + x.misses });
        }
    }
    lines.push(
      `${at.name}: ${weeks} weeks, ${quiet} quiet; ${[...here].map(([d, x]) => `${d} ${x.alarms}`).join(', ')}`,
    );
  }
  for (const [d, x] of all)
    lines.push(`${d}: ${x.alarms} alarms, ${x.hits} hits, ${x.alarms - x.hits} false, ${x.misses} missed`);
  if (SHOW) process.stdout.write(`${lines.join('\n')}\n`);
  expect(all.size).toBeGreaterThan(4);
});
