import { reportOn } from '@candid-leaf/core/assessment';
import { parseCase } from '@candid-leaf/core/casefile';
import { addDays, METRIC } from '@candid-leaf/core/units';
import { viewOfCase } from '../src/data/view-of-case';
import { chartDays } from '../src/frame/charts/chart-days';

const TODAY = '2026-07-18';
const weather = Array.from({ length: 30 }, (_, i) => ({
  date: addDays(TODAY, i - 29),
  tMinC: 15,
  tMaxC: 28,
  rainMm: i === 20 ? 8 : 0,
}));
const fileOf = {
  format: 'candid-leaf-case',
  version: 1,
  asOf: TODAY,
  garden: { latitude: 45, longitude: 9, elevationM: 100 },
  place: { kind: 'container', texture: 'potting-mix', volumeL: 14 },
  plant: { crop: 'tomato', stage: 'fruiting', transplantedOn: '2026-05-10', heightM: 1 },
  records: {
    weather,
    watering: [
      { date: addDays(TODAY, -4), litres: 3 },
      { date: addDays(TODAY, -4), litres: 2 },
    ],
    feeding: [{ date: addDays(TODAY, -2), n: 4, p2o5: 4, k2o: 8, grams: 25 }],
  },
  observations: [],
};
const plantCase = parseCase(fileOf);
const garden = {
  ...plantCase.garden,
  id: 'garden',
  name: 'Reader',
  version: 1,
  today: TODAY,
  timeZone: 'Europe/Rome',
  units: METRIC,
  weekStart: 'monday',
  dateForm: 'd MMMM',
} as const;
const view = viewOfCase(plantCase, { report: reportOn(plantCase), prevented: [], coming: [] }, garden);

test('one entry a day, four weeks back to a week ahead, with waterings added up', () => {
  const days = chartDays(view);
  expect(days).toHaveLength(35);
  expect([days[0]!.day, days.at(-1)!.day]).toEqual([addDays(TODAY, -27), addDays(TODAY, 7)]);
  expect(days.find((d) => d.day === addDays(TODAY, -4))!.wateredL).toBe(5);
  expect(days.find((d) => d.day === addDays(TODAY, -2))!.nitrogenG).toBeCloseTo(1);
  expect(days.find((d) => d.rainMm > 0)!.day).toBe(addDays(TODAY, -9));
});

test('known and forecast days are separate, and meet on today', () => {
  const days = chartDays(view);
  const today = days.find((d) => d.day === TODAY)!;
  expect(today.left).toBe(today.leftAhead);
  expect(days.filter((d) => d.left !== null && d.day > TODAY)).toEqual([]);
  expect(days.filter((d) => d.leftAhead !== null && d.day < TODAY)).toEqual([]);
  expect(days.at(-1)!.leftAhead).toBeLessThanOrEqual(today.left!);
});

test('a dry finger draws the line down to its end, a wet one up: from the estimate to the correction', () => {
  const after = (feel: 'dry' | 'wet', litres: number) => {
    const watering = [{ date: addDays(TODAY, -1), litres }];
    const checked = parseCase({
      ...fileOf,
      records: { ...fileOf.records, watering, soilChecks: [{ date: TODAY, feel }] },
    });
    const days = chartDays(viewOfCase(checked, { report: reportOn(checked), prevented: [], coming: [] }, garden));
    return days.find((d) => d.day === TODAY)!;
  };
  const dry = after('dry', 10);
  expect(dry.moved).toMatchObject({ by: 'finger', to: dry.left });
  expect(dry.moved!.from).toBeGreaterThan(dry.moved!.to);
  const wet = after('wet', 1);
  expect(wet.moved!.to).toBe(wet.left);
  expect(wet.moved!.from).toBeLessThan(wet.moved!.to);
});
