import { potSizeFor } from '../../src/water/index.js';
import { reportOn } from '../../src/assessment/index.js';
import { contextOf } from '../../src/diagnosis/context.js';
import { FACTS } from '../../src/diagnosis/facts.js';
import { aCase, everyNDays, seen } from '../helpers.js';

/** Black ends in a pot of this size, watered unevenly. */
const remedies = (crop: 'tomato' | 'pepper', volumeL: number) =>
  reportOn(
    aCase({
      place: { kind: 'container', texture: 'potting-mix', volumeL },
      plant: { crop },
      records: { watering: everyNDays(4, 3) },
      observations: [seen('fruit-blossom-end-dark')],
    }),
  ).remedies;
const larger = (crop: 'tomato' | 'pepper', volumeL: number) =>
  remedies(crop, volumeL).find((r) => r.remedy === 'repot-larger')?.dose ?? null;

test('a larger pot is advised if this one is smaller than advised, and never if it is large enough', () => {
  expect(larger('tomato', 8)).toEqual({ potLitres: 20 });
  expect(larger('pepper', 6)).toEqual({ potLitres: 12 });
  expect(larger('tomato', 25)).toBeNull();
  expect(larger('tomato', 40)).toBeNull();
  expect(larger('pepper', 14)).toBeNull();
  // a large variety wants more, in the plan as in the remedy
  expect([potSizeFor({ crop: 'tomato', type: 'beefsteak' }).advised, potSizeFor({ crop: 'tomato' }).advised]).toEqual([
    60, 20,
  ]);
  expect(remedies('tomato', 40).length).toBeGreaterThan(0);
});

test('a pot of unknown size is not called too small', () => {
  const c = aCase({ place: { kind: 'container', texture: 'potting-mix', volumeL: 8 } });
  const could = (volumeL: number | null) =>
    FACTS['pot-could-be-larger'](contextOf({ ...c, place: { ...c.place, volumeL } }));
  expect([could(8), could(25), could(null)]).toEqual([true, false, false]);
});
