import { assessPlace } from '@candid-leaf/core/assessment';
import { METRIC, METRIC_FORMAT } from '@candid-leaf/core/units';
import { DEFAULT_METHOD } from '@candid-leaf/core/water';
import { sprayPlan } from '../../src/care/index.js';
import { starterOf } from '../../src/products/index.js';
import type { Product } from '../../src/products/index.js';
import { aCase, ASOF } from '../helpers.js';
import { NO_RULES } from '../questions.js';

const RULES = { pondNear: false, organicOnly: false, pickOn: null, copperGPerM2: null, tools: METRIC };
const TRIED = { state: 'passed', triedOn: ASOF } as const;
const WATERING = { method: DEFAULT_METHOD, ...NO_RULES };
const planFor = (product: Product, plant: object) =>
  sprayPlan(
    assessPlace('p', WATERING, [{ id: 'a', case: aCase({ plant }) }], [], METRIC_FORMAT).plants.get('a')!,
    product,
    TRIED,
    RULES,
  );
const SPINOSAD: Product = { ...starterOf('bt')!, id: 'own', name: 'Own', spray: 'spinosad' };
const blocked = (plant: object): boolean => planFor(SPINOSAD, plant).against.some((g) => g.gate === 'bees-never');

test('all but a bush tomato flower on while fruit ripens: bees count as long', () => {
  expect(blocked({ stage: 'flowering' })).toBe(true);
  expect(blocked({ stage: 'fruiting' })).toBe(true);
  expect(blocked({ stage: 'ripening', habit: 'indeterminate' })).toBe(true);
  expect(blocked({ crop: 'pepper', stage: 'ripening' })).toBe(true);
  expect(blocked({ stage: 'ripening', habit: 'determinate' })).toBe(false);
  expect(blocked({ stage: 'vegetative' })).toBe(false);
});

test('without wind and forecast it says what to look at first', () => {
  const soap = planFor(starterOf('soap')!, { stage: 'vegetative' });
  // this case has weather up to today and no wind: rain and wind are asked
  expect(soap.unknown).toEqual(['wind', 'rain']);
});
