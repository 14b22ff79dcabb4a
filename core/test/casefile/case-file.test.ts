import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { reportOn } from '@candid-leaf/core/assessment';
import { caseFileOf, parseCase } from '@candid-leaf/core/casefile';
import { RefusedInput } from '@candid-leaf/core/records';
import { aCase, ASOF, seen } from '../helpers.js';

const refusal = (value: unknown): Record<string, string> => {
  try {
    parseCase(value);
  } catch (error) {
    if (error instanceof RefusedInput) return Object.fromEntries(error.faults.map((f) => [f.path, f.reason]));
    throw error;
  }
  return {};
};
const file = () => JSON.parse(JSON.stringify(caseFileOf(aCase({ observations: [seen('fruit-burst')] }))));

test('each fault is refused with its path and the reason', () => {
  const bad = file();
  bad.records.weather[0].tMinC = 40;
  bad.records.watering = [
    { date: '2026-07-01', litres: -1 },
    { date: '2026-02-30', litres: 201 },
  ];
  bad.place.soilTest = { date: '2026-04-01', pH: 40 };
  bad.place.colour = 'red';
  bad.observations.push(
    { date: ASOF, sign: 'fruit-purple', present: true },
    { date: ASOF, sign: 'fruit-burst', present: 'yes' },
  );
  const faults = refusal(bad);
  expect(faults['records.watering[0].litres']).toMatch(/must be 0 or more/);
  expect(faults['records.watering[1].date']).toMatch(/date that exists/);
  expect(faults['records.watering[1].litres']).toMatch(/200 litres/);
  expect(faults['place.soilTest.pH']).toMatch(/between 2 and 11/);
  expect(faults['place.colour']).toMatch(/not a known field/);
  expect(faults['observations[1].sign']).toMatch(/not a known sign/);
  expect(faults['observations[2].present']).toMatch(/yes or no/);
});

test('rules across fields: tMin above tMax, counts, contradictions, the wrong crop, a pot without a volume', () => {
  const bad = file();
  bad.records.weather[0] = { ...bad.records.weather[0], tMinC: 30, tMaxC: 20 };
  bad.observations = [
    { date: ASOF, sign: 'fruit-burst', present: true, affected: 5, of: 3 },
    { date: ASOF, sign: 'fruit-burst', present: false },
    { date: ASOF, sign: 'stem-root-bumps', present: true },
  ];
  bad.plant = { crop: 'pepper', type: 'paste', transplantedOn: '2026-08-01', resistantTo: ['late-blight'] };
  bad.place = { kind: 'container', texture: 'potting-mix' };
  expect(Object.keys(refusal(bad)).sort()).toEqual([
    'observations[0].affected',
    'observations[1].present',
    'observations[2].sign',
    'place.volumeL',
    'plant.resistantTo[0]',
    'plant.transplantedOn',
    'plant.type',
    'records.weather[0].tMinC',
  ]);
});

test.each([[null], [[]], ['text'], [{}]])('%j is refused, not crashed on', (value) => {
  expect(Object.keys(refusal(value)).length).toBeGreaterThan(0);
});

test('records later than the day of the question change nothing', () => {
  const plain = file();
  const later = file();
  later.records.weather.push({ date: '2026-07-25', tMinC: 1, tMaxC: 2, rainMm: 90 });
  later.records.watering = [{ date: '2026-07-19', litres: 20 }];
  later.observations.push({ date: '2026-07-20', sign: 'fruit-slime', present: true });
  expect(reportOn(parseCase(later))).toEqual(reportOn(parseCase(plain)));
});

const folder = join(__dirname, '..', '..', 'cases');
describe('the example cases', () => {
  test.each(readdirSync(folder).filter((f) => f.endsWith('.case.json')))('%s comes out as expected', (name) => {
    const expected = JSON.parse(readFileSync(join(folder, name.replace('.case.', '.expect.')), 'utf8'));
    const report = reportOn(parseCase(JSON.parse(readFileSync(join(folder, name), 'utf8'))));
    const remedies = report.remedies.map((r) => r.remedy as string);
    expect(report.diagnosis[0]!.disorder).toBe(expected.first);
    expect(report.diagnosis[0]!.drivers.map((d) => d.driver)).toEqual(expect.arrayContaining(expected.drivers));
    expect(remedies).toEqual(expect.arrayContaining(expected.remediesInclude));
    expect(remedies.filter((r) => expected.remediesExclude.includes(r))).toEqual([]);
  });
});
