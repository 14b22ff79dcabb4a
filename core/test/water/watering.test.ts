import fc from 'fast-check';
import { IRRIGATIONS, type WateringEntry } from '@candid-leaf/core/records';
import {
  flowFromBucket,
  gaveWater,
  litresFromMinutes,
  makeWatering,
  minutesForLitres,
  rulesPerPlant,
  wayOf,
} from '@candid-leaf/core/water';

const told = (more: Partial<WateringEntry>): WateringEntry => ({ date: '2026-07-18', ...more });

test('a watering uses the way of its place, unless stated otherwise', () => {
  const ways = IRRIGATIONS.map((irrigation) => makeWatering({ irrigation, plants: 2 }, told({ litres: 3 })).how);
  expect(ways).toEqual(['base', 'base', 'drip', 'soaker', 'buried-bottle']);
  expect(makeWatering({ irrigation: 'drip', plants: 2 }, told({ litres: 3, how: 'overhead' })).how).toBe('overhead');
  expect(makeWatering({ plants: 1 }, told({ litres: 3 })).how).toBe('base');
  expect(wayOf(null)).toBe('base');
});

test('minutes become litres per plant by the flow of that day, shared by all of them', () => {
  const place = { irrigation: 'drip' as const, flowLPerH: 24, plants: 3 };
  expect(makeWatering(place, told({ minutes: 60 }))).toEqual({
    date: '2026-07-18',
    litres: 8,
    minutes: 60,
    how: 'drip',
  });
  // once in litres it stays so: a later flow changes nothing of it
  const kept = makeWatering(place, told({ minutes: 60 }));
  expect(makeWatering({ ...place, flowLPerH: 240 }, kept)).toEqual(kept);
  expect(makeWatering({ ...place, flowLPerH: null }, kept)).toEqual(kept);
});

test('without litres or a known flow the amount is unknown, never NaN', () => {
  for (const flowLPerH of [null, 0])
    expect(makeWatering({ irrigation: 'hose', flowLPerH, plants: 2 }, told({ minutes: 10 }))).toEqual({
      date: '2026-07-18',
      minutes: 10,
      how: 'base',
    });
  fc.assert(
    fc.property(
      fc.option(fc.double({ min: 0.1, max: 5000, noNaN: true })),
      fc.nat(20),
      fc.double({ min: 0.1, max: 1440, noNaN: true }),
      (flowLPerH, plants, minutes) => {
        const { litres } = makeWatering({ irrigation: 'hose', flowLPerH, plants }, told({ minutes }));
        expect(flowLPerH === null ? litres === undefined : Number.isFinite(litres) && litres! >= 0).toBe(true);
      },
    ),
  );
  expect([{}, { litres: 0 }, { litres: 2 }].map(gaveWater)).toEqual([true, false, true]);
});

test('minutes and litres convert, shared by the plants', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 200, noNaN: true }),
      fc.double({ min: 1, max: 5000, noNaN: true }),
      fc.integer({ min: 1, max: 40 }),
      (litres, flow, plants) => {
        expect(litresFromMinutes(minutesForLitres(litres, flow, plants), flow, plants)).toBeCloseTo(litres, 6);
      },
    ),
  );
  expect(litresFromMinutes(60, 30, 3)).toBe(10);
  expect(() => litresFromMinutes(60, 30, 0)).toThrow(RangeError);
  expect(flowFromBucket(10, 36)).toBeCloseTo(1000, 9);
});

test('the rules of a place for one of its plants', () => {
  const place = { method: 'deep' as const, irrigation: 'drip' as const, flowLPerH: 20, weeklyCapL: 50 };
  expect(rulesPerPlant(place, 5)).toEqual({
    method: 'deep',
    how: 'drip',
    flowLPerH: 4,
    moisture: null,
    drierRipening: false,
    allowedDays: null,
    weeklyCapL: 10,
  });
  // a can is emptied in a minute or two, whatever the tap gives; a flow of nothing is not known
  expect(rulesPerPlant({ ...place, irrigation: 'can' }, 5).flowLPerH).toBeNull();
  expect(rulesPerPlant({ ...place, flowLPerH: 0 }, 5).flowLPerH).toBeNull();
  expect(rulesPerPlant({ ...place, allowedDays: [] }, 1).allowedDays).toBeNull();
});
