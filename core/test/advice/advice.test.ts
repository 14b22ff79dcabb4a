import { DISEASE } from './disease.js';
import { FEEDING } from './feeding.js';
import { CAUTIOUS } from './cautions.js';
import { GROWING } from './growing.js';
import { SPRAYS } from './sprays.js';
import { WEATHER } from './weather.js';

/** What published sources answer, asked of the core. `npm run advice` runs this alone and counts. */
const ALL = {
  sprays: SPRAYS,
  feeding: FEEDING,
  growing: GROWING,
  weather: WEATHER,
  disease: DISEASE,
  cautions: CAUTIOUS,
};

for (const [topic, rows] of Object.entries(ALL))
  test.each(rows.map((r) => [`${topic}: ${r.ask}`, r] as const))('%s', (_, { wanted, got, source }) => {
    expect([source, got()]).toEqual([source, wanted]);
  });

test('two hundred questions and more, each asked once, with their sources', () => {
  const rows = Object.entries(ALL).flatMap(([topic, list]) =>
    list.map((r) => ({ ...r, ask: `${topic}: ${r.source} ${r.ask}` })),
  );
  expect(rows.length).toBeGreaterThanOrEqual(200);
  expect(new Set(rows.map((r) => r.ask)).size).toBe(rows.length);
  expect(rows.filter((r) => r.dangerous).length).toBeGreaterThan(60);
  expect(rows.every((r) => r.source.length > 15)).toBe(true);
  if (process.env.SHOW_ADVICE)
    process.stdout.write(
      `\n${rows.length} questions, ${rows.filter((r) => r.dangerous).length} of them dangerous if answered wrongly\n`,
    );
});
