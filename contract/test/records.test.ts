import { checked, ENTRY_CLASSES, RECORD_TYPE_CODES, RefusedInput } from '@candid-leaf/core/records';
import { GardenInput, PlaceInput, SignUp } from '../src/index.js';

const faults = (cls: new () => object, value: unknown): string[] => {
  try {
    checked(cls, value);
    return [];
  } catch (error) {
    if (error instanceof RefusedInput) return [...new Set(error.faults.map((f) => f.path))].sort();
    throw error;
  }
};

test('every record type needs a real date and refuses unknown fields', () => {
  for (const type of RECORD_TYPE_CODES) {
    const found = faults(ENTRY_CLASSES[type], { date: '2026-02-30', mystery: 1 });
    expect(found).toEqual(expect.arrayContaining(['date', 'mystery']));
  }
});

test('a watering has litres or minutes, or nothing if nobody knows', () => {
  const cls = ENTRY_CLASSES.watering;
  expect(faults(cls, { date: '2026-07-01', litres: 2 })).toEqual([]);
  expect(faults(cls, { date: '2026-07-01', minutes: 20 })).toEqual([]);
  expect(faults(cls, { date: '2026-07-01' })).toEqual([]);
  expect(faults(cls, { date: '2026-07-01', litres: 2000 })).toEqual(['litres']);
  expect(faults(cls, { date: '2026-07-01', minutes: 2000 })).toEqual(['minutes']);
});

test('absurd places and gardens are refused with the path of each fault', () => {
  const place = {
    id: '0198a000-0000-7000-8000-000000000000',
    name: 'Pots',
    kind: 'container',
    texture: 'loam',
    volumeL: 0.02,
    flowLPerH: 9000,
    drainageMmPerH: 0,
    mulch: [{ from: 'soon', depthMm: -1 }],
  };
  expect(faults(PlaceInput, place)).toEqual([
    'drainageMmPerH',
    'flowLPerH',
    'mulch[0].depthMm',
    'mulch[0].from',
    'volumeL',
  ]);
  const garden = {
    id: 'x',
    name: '',
    latitude: 91,
    longitude: 9,
    elevationM: 9000,
    timeZone: 'Moon/Base',
    units: { temperature: 'K' },
    weekStart: 'friday',
    dateForm: 'd MMMM',
    lastFrost: '13-40',
  };
  expect(faults(GardenInput, garden)).toEqual(
    expect.arrayContaining([
      'elevationM',
      'id',
      'lastFrost',
      'latitude',
      'name',
      'timeZone',
      'units.temperature',
      'units.volume',
      'weekStart',
    ]),
  );
  expect(faults(SignUp, { email: 'ann', password: 'short', name: '' })).toEqual(['email', 'name', 'password']);
});
