import { parseCase } from '@candid-leaf/core/casefile';
import { checked, PlaceMake, RefusedInput } from '@candid-leaf/core/records';
import { aCase } from '../helpers.js';

/** A list is not an object, and a list of lists is not a list of objects: neither here nor in a case file. */
const faultsOf = (work: () => unknown): string[] => {
  try {
    work();
    return [];
  } catch (error) {
    if (error instanceof RefusedInput) return error.faults.map((f) => f.path);
    throw error;
  }
};
const place = (more: object): string[] =>
  faultsOf(() => checked(PlaceMake, { kind: 'ground', texture: 'loam', ...more }));
const spell = { from: '2026-05-01', depthMm: 50 };

test('lists within lists and lists in place of objects are refused with their path', () => {
  expect(place({ mulch: [spell] })).toEqual([]);
  for (const [field, value] of [
    ['mulch', [[spell]]],
    ['mulch', [[]]],
    ['mulch', [spell, null]],
    ['mulch', spell],
    ['shade', [['x']]],
    ['history', ['x']],
    ['soilTest', [{ date: '2026-05-01', pH: 6 }]],
    ['soilTest', 'acid'],
  ] as const)
    expect([field, value, place({ [field]: value })]).toEqual([field, value, expect.arrayContaining([field])]);
});

test('a list has a maximum length and no more', () => {
  expect(place({ mulch: Array.from({ length: 100 }, () => spell) })).toEqual([]);
  expect(place({ mulch: Array.from({ length: 101 }, () => spell) })).toEqual(['mulch']);
});

test('the same in a case file, in each of its parts', () => {
  const file = { format: 'candid-leaf-case', version: 1, ...aCase({}) };
  const refused = (more: object): string[] => faultsOf(() => parseCase({ ...file, ...more }));
  expect(refused({})).toEqual([]);
  for (const part of ['garden', 'place', 'plant', 'records'] as const)
    for (const value of [[], [file[part]], null, 'x'])
      expect([part, value, refused({ [part]: value })]).toEqual([part, value, expect.arrayContaining([part])]);
  expect(refused({ observations: [[]] })).toContain('observations');
  expect(refused({ records: { ...file.records, weather: [[]] } })).toContain('records.weather');
  expect(refused({ records: { ...file.records, watering: [[{ date: '2026-07-01', litres: 1 }]] } })).toContain(
    'records.watering',
  );
  for (const whole of [[], [file], null]) expect(faultsOf(() => parseCase(whole))).toEqual(['(whole)']);
});
