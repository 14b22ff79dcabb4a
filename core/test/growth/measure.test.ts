import { climateOfPlace, generateWeather, seeded, weatherInPlace } from '../../src/climate/index.js';
import { asksNow, growthOf, type GrowthNote, type GrowthQuestion } from '../../src/growth/index.js';
import { daysToMaturityOf } from '../../src/varieties/index.js';
import { growPlant, type SimulatedPlant } from './simulated-plant.js';

/** Where and when plants are set out: a place, its height and the usual planting day. */
const GARDENS = [
  { name: 'cool maritime', latitude: 52, elevationM: 60, from: '2026-05-20' },
  { name: 'warm plain', latitude: 45, elevationM: 100, from: '2026-05-05' },
  { name: 'hot dry summer', latitude: 37, elevationM: 10, from: '2026-04-10' },
  { name: 'mountain valley', latitude: 43, elevationM: 900, from: '2026-06-01' },
  { name: 'wet tropics', latitude: 10, elevationM: 50, from: '2026-11-01' },
  { name: 'tropical highland', latitude: 1, elevationM: 1600, from: '2026-03-01' },
  { name: 'southern summer', latitude: -37, elevationM: 50, from: '2026-11-05' },
  { name: 'tunnel in the north', latitude: 56, elevationM: 40, from: '2026-05-10', tunnel: true },
] as const;
const PLANTS = [
  { crop: 'tomato', habit: 'determinate', type: 'slicer' },
  { crop: 'tomato', habit: 'semi-determinate', type: 'paste' },
  { crop: 'tomato', habit: 'indeterminate', type: 'cherry' },
  { crop: 'tomato', habit: 'indeterminate', type: 'beefsteak' },
  { crop: 'pepper', habit: 'determinate', type: 'sweet' },
  { crop: 'pepper', habit: 'determinate', type: 'hot' },
] as const;
const DAYS = 150;
/** Days between two that are judged: no multiple of a week, so that they fall anywhere between two questions. */
const EVERY = 8;

/** Share of days on which stage and height of the estimate are right, by who is asked when. */
function judge(asking: 'never' | 'weekly' | 'between too'): { stage: number; height: number; asked: number } {
  let [plants, days, stages, heights, asked] = [0, 0, 0, 0, 0];
  for (const [g, garden] of GARDENS.entries())
    for (const [p, kind] of PLANTS.entries()) {
      if (asking === 'between too' && (g + p) % 2 === 0) continue;
      plants++;
      const random = seeded(1000 + 17 * g + p);
      const open = generateWeather(
        climateOfPlace(garden.latitude, garden.elevationM, []),
        garden,
        garden.from,
        DAYS,
        random,
      );
      const place =
        'tunnel' in garden
          ? ({ kind: 'ground', cover: 'tunnel', vents: 'open' } as const)
          : ({ kind: 'ground' } as const);
      const weather = open.map((w) => weatherInPlace(place, w, garden));
      const { days: daysToMaturity } = daysToMaturityOf(kind);
      const plant: SimulatedPlant = growPlant(kind.crop, kind.habit, daysToMaturity, weather, random);
      const notes: GrowthNote[] = [];
      for (const [i, truth] of plant.days.entries()) {
        const [judged, asks] = [i % EVERY === 0, asking !== 'never' && i % 7 === 6];
        const between = asking === 'between too' && i % 3 === 0;
        if (!judged && !asks && !between) continue;
        const question: GrowthQuestion = {
          asOf: truth.date,
          garden,
          plant: { ...kind, daysToMaturity, transplantedOn: garden.from },
          potL: null,
          weather: weather.slice(0, i + 1),
          notes,
        };
        let growth = growthOf(question);
        if (asks ? growth.unsure : between && asksNow(growth, truth.date)) {
          const { date, stage, soon } = truth;
          notes.push({ date, stage, ...(soon === undefined ? {} : { soon }) });
          asked++;
          growth = growthOf(question);
        }
        if (!judged) continue;
        days++;
        if (growth.stage === truth.stage) stages++;
        if (Math.abs(growth.heightM / truth.heightM - 1) <= 0.25) heights++;
      }
    }
  return { stage: stages / days, height: heights / days, asked: asked / plants };
}

test('without a note the stage is right on 85 % of days, the height within a quarter on 90 %', () => {
  const found = judge('never');
  expect(found.stage).toBeGreaterThanOrEqual(0.85);
  expect(found.height).toBeGreaterThanOrEqual(0.9);
});

test('with at most one question a week, asked only if unsure, it is right on 93 %', () => {
  const found = judge('weekly');
  expect(found.stage).toBeGreaterThanOrEqual(0.93);
  expect(found.asked).toBeLessThan(7);
});

test('asked once more while a milestone is passed, it is right on 96 %, with nine questions a season', () => {
  const found = judge('between too');
  expect(found.stage).toBeGreaterThanOrEqual(0.96);
  expect(found.asked).toBeLessThan(9);
});
