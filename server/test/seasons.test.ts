import { useApp } from './app.js';
import { SEASON_GARDENS, SHORT_SEASONS } from './seasons/climates.js';
import { liveSeason, type Outcome } from './seasons/season.js';
import { HABITS, type Habit } from './seasons/work.js';

/**
 * A simulated gardener follows Today day by day, through the API. An independent model of the garden says how the plants
 * do. `npm run seasons` runs eight climates with three gardeners and prints the results; `SEASON_OF` picks some by number
 * and habit ("1careful"). Two short seasons run in `npm test`.
 */
const app = useApp();
const ALL = process.env.SEASONS === 'all';
const DAYS = ALL ? 110 : 20;
const picked = process.env.SEASON_OF;
const PATIENCE_MS = 30 * 60_000;

const pct = (x: number): string => `${(100 * x).toFixed(1)} %`;
const told = (o: Outcome): string =>
  [
    `${o.garden}, ${o.habit}`,
    `  too dry ${pct(o.dry)}, too wet ${pct(o.wet)} of plant-days; stage right ${pct(o.stage)}`,
    `  nitrogen ${o.nitrogen.map((n) => Math.round(100 * n)).join(', ')} % of need`,
    `  lines on Today: median ${o.tasksMedian}, 95 % of days up to ${o.tasks95}`,
    `  picking suggested ${o.picking === null ? 'never' : `${o.picking} days after the first ripe fruit`}`,
    ...o.stuck.map((t) => `  unchanged for over ten days: ${t}`),
    ...o.contradict.map((t) => `  contradict each other: ${t}`),
    ...o.failed.map((t) => `  failed: ${t}`),
  ].join('\n');

/** Share of plant-days too dry or too wet that a habit may come to; the forgetful gardener is only told about. */
const MOST_HARM: Record<Habit['name'], number> = { careful: 0.04, plain: 0.08, forgetful: 1 };
/** Share of the needed nitrogen that reaches a plant of the careful gardener. */
const NITROGEN = [0.7, 1.3] as const;
/** Share of days with the right stage, if the questions are answered; days between first ripe fruit and first picking. */
const STAGE_RIGHT = 0.95;
const MOST_LATE_DAYS = 10;
/** In four weeks nobody picks, and the days of settling in weigh more. */
const MOST_HARM_SHORT = 0.1;

const asked = SEASON_GARDENS.flatMap((garden, i) =>
  HABITS.flatMap((habit, h) => {
    const short = SHORT_SEASONS.some((n) => n === i) && habit.name === 'careful';
    const wanted = picked ? `${i}${habit.name}`.match(picked) !== null : ALL || short;
    return wanted ? [{ name: `${garden.name}, ${habit.name}`, garden, habit, seed: 100 + 10 * i + h }] : [];
  }),
);

test.each(asked)(
  'a season in $name',
  async ({ garden, habit, seed }) => {
    const o = await liveSeason(app, garden, habit, DAYS, seed);
    if (ALL) process.stdout.write(`${told(o)}\n`);
    expect(o.failed).toEqual([]);
    expect(o.contradict).toEqual([]);
    expect(o.dry + o.wet).toBeLessThan(ALL ? MOST_HARM[habit.name] : MOST_HARM_SHORT);
    expect(o.tasksMedian).toBeLessThan(6);
    expect(o.tasks95).toBeLessThan(12);
    if (habit.name === 'careful') expect(o.stuck).toEqual([]);
    if (!ALL) return;
    expect(Math.abs(o.picking ?? 0)).toBeLessThanOrEqual(MOST_LATE_DAYS);
    if (habit.name !== 'careful') return;
    expect(o.stage).toBeGreaterThanOrEqual(STAGE_RIGHT);
    for (const share of o.nitrogen) {
      expect(share).toBeGreaterThanOrEqual(NITROGEN[0]);
      expect(share).toBeLessThanOrEqual(NITROGEN[1]);
    }
  },
  PATIENCE_MS,
);
