import { useApp } from './app.js';
import { SEASON_GARDENS } from './seasons/climates.js';
import { liveSeason, type Outcome } from './seasons/season.js';
import { HABITS } from './seasons/work.js';

const app = useApp();
const ALL = process.env.SEASONS === 'all';
const DAYS = ALL ? 110 : 45;
const only = process.env.SEASON_OF;

const pct = (x: number): string => `${(100 * x).toFixed(1)} %`;
const line = (o: Outcome): string =>
  [
    `${o.garden}, ${o.habit}: dry ${pct(o.dry)}, wet ${pct(o.wet)}, stage ${pct(o.stage)}`,
    `nitrogen ${o.nitrogen.map((n) => Math.round(100 * n)).join('/')} %`,
    `tasks ${o.tasksMedian}, 95th ${o.tasks95}`,
    `picking ${o.picking}`,
    `stuck ${o.stuck.length}: ${o.stuck.slice(0, 6).join(' // ')}`,
    `contradict ${o.contradict.join(' // ')}`,
    `failed ${o.failed.length} ${o.failed.slice(0, 3).join(' // ')}`,
  ].join('\n    ');

for (const [i, garden] of SEASON_GARDENS.entries())
  for (const [h, habit] of HABITS.entries()) {
    if (only && !`${i}${habit.name}`.match(only)) continue;
    test(`${garden.name}, ${habit.name}`, async () => {
      const outcome = await liveSeason(app, garden, habit, DAYS, 100 + 10 * i + h);
      console.log(line(outcome));
    }, 3_000_000);
  }
