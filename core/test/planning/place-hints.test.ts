import { type HintedPlace, placeHints, spacingOf } from '../../src/planning/index.js';
import { formatterFor, METRIC_FORMAT } from '../../src/units/index.js';

const bed: HintedPlace = { name: 'Wall bed', kind: 'ground', texture: 'loam', lengthM: 2.4, widthM: 0.6 };
const said = (
  place: Partial<HintedPlace> = {},
  {
    crop = 'tomato' as 'tomato' | 'pepper',
    plants = 2,
    others = [] as HintedPlace[],
    hottestC = 25,
    f = METRIC_FORMAT,
  } = {},
): string =>
  placeHints({ place: { ...bed, ...place }, others, crop, plants, spacingM: spacingOf(crop), hottestC }, f).join(' | ');

test('fewer than six hours of sun are mentioned for either crop, with a sunnier bed if there is one', () => {
  expect(said({ sunHours: 5 }, { crop: 'pepper' })).toMatch(
    /^5 hours of sun are too few for a pepper, which needs 6 to 8/,
  );
  expect([said({ sunHours: 6 }), said({ sunHours: null })]).toEqual(['', '']);
  const others = [
    { ...bed, name: 'Yard', sunHours: 7 },
    { ...bed, name: 'Roof', sunHours: 9 },
  ];
  expect(said({ sunHours: 5 }, { others })).toMatch(/little\. Roof gets 9\.$/);
  expect(said({ sunHours: 5 }, { others: [{ ...bed, name: 'Shed', sunHours: 5.5 }] })).toMatch(/little\.$/);
});

test('clay is a warning for peppers, a wet spot for both, in the ground only', () => {
  expect(said({ texture: 'clay' }, { crop: 'pepper' })).toMatch(/mound, or use a pot/);
  expect(said({ texture: 'clay' })).toBe('');
  expect(said({ lowEnd: true })).toMatch(/on a mound of 20.cm, or drain it/);
  expect(said({ kind: 'container', lowEnd: true, texture: 'clay' }, { crop: 'pepper' })).toBe('');
});

test('too many plants are too many anywhere; the comfortable distance is asked for where summers are hot', () => {
  expect(said({}, { plants: 10 })).toMatch(/^10 plants are too many here: at 45.cm spacing there is room for 5\./);
  const inches = formatterFor({ ...METRIC_FORMAT.units, length: 'in' });
  expect(said({}, { plants: 10, f: inches })).toMatch(/at 18.in spacing/);
  expect([said({}, { plants: 5 }), said({}, { plants: 4, hottestC: 35 })]).toEqual(['', '']);
  expect(said({}, { plants: 5, hottestC: 35 })).toMatch(
    /^35.°C is usual here in summer.*60.cm spacing there is room for 4/,
  );
});
