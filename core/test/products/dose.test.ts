import {
  amountFor,
  gramsOf,
  labelDose,
  measurable,
  nutrientsIn,
  productFaults,
  ProductMake,
  starterOf,
  STARTERS,
  unitAmount,
  type DoseAnswer,
  type Product,
} from '../../src/products/index.js';
import { checked, RefusedInput } from '../../src/records/index.js';
import { formatterFor, inSpoons, METRIC, US_SPOONS } from '../../src/units/index.js';

const product = (p: Partial<Product>): Product => ({
  id: 'x',
  name: 'X',
  kind: 'feed',
  form: 'dry',
  n: 0,
  p2o5: 0,
  k2o: 0,
  ...p,
});
const given = (a: ReturnType<typeof labelDose>): DoseAnswer => {
  if (Array.isArray(a)) throw new Error(JSON.stringify(a));
  return a;
};

test('a teaspoon to the US gallon is 1.30 mL a litre (handbook; NIST Handbook 44 spoons), agreeing to three figures', () => {
  expect(US_SPOONS.tsp / 3.785411784).toBeCloseTo(1.302, 3);
  // two tablespoons to the US gallon, as extension leaflets give fish emulsion: 7.8 mL a litre (1 fl oz in 128)
  expect((2 * US_SPOONS.tbsp) / 3.785411784).toBeCloseTo(1000 / 128, 6);
});

test('spoons: to a quarter teaspoon, tablespoons from three on, cups from eight, and none where only a syringe will do', () => {
  expect(inSpoons(6.17, 'us')).toEqual({ ml: 1.25 * US_SPOONS.tsp, text: '1¼ tsp' });
  expect(inSpoons(15, 'metric')).toEqual({ ml: 15, text: '1 tbsp' });
  expect(inSpoons(24, 'metric')).toEqual({ ml: 22.5, text: '1 tbsp and 1½ tsp' });
  expect(inSpoons(250, 'metric')).toEqual({ ml: 250, text: '1 cup' });
  expect(inSpoons(0.5, 'metric')).toBeNull();
});

test('an amount in spoons is never more than it, and within a step: a quarter or half a teaspoon, a tablespoon', () => {
  for (let ml = 1.3; ml < 2000; ml += 0.7)
    for (const set of ['metric', 'us'] as const) {
      const spooned = inSpoons(ml, set)!;
      const tsp = set === 'metric' ? 5 : US_SPOONS.tsp;
      const step = ml < 3 * tsp ? tsp / 4 : ml < 23.7 * tsp ? tsp / 2 : 3 * tsp;
      expect(spooned.ml).toBeLessThanOrEqual(ml * 1.01 + 1e-4);
      expect(ml - spooned.ml).toBeLessThanOrEqual(step + 1e-4);
    }
});

test('ten pounds of 10-10-10 hold one pound of nitrogen: the worked example of every label leaflet', () => {
  const pound = 453.59237;
  expect(nutrientsIn(product({ n: 10, p2o5: 10, k2o: 10 }), 10 * pound).n).toBeCloseTo(pound, 2);
  // and the other way round: a gram of N from blood meal (12 %) is 8 g, as one can weigh it
  expect(amountFor(starterOf('blood-meal')!, 'n', 1)).toBe(8);
  expect(amountFor(starterOf('blood-meal')!, 'k2o', 1)).toBeNull();
  // a liquid is told in millilitres: its weight counts
  expect(amountFor(product({ form: 'liquid', n: 5, gPerMl: 1.25 }), 'n', 1)).toBe(16);
});

test('soap for six plants and a two-gallon US sprayer: one full sprayer and a rest to the half litre, with the leftover', () => {
  const us = formatterFor({ ...METRIC, volume: 'gal-us' });
  const canLitres = 2 * 3.785411784;
  const a = given(labelDose(starterOf('soap')!, { plants: 6, litresEach: 1.4, canLitres }));
  expect(a.batches).toEqual([
    { cans: 1, waterL: canLitres, amount: 113 },
    { cans: 1, waterL: 1, amount: 15 },
  ]);
  expect(a.leftOverL).toBeCloseTo(canLitres + 1 - 8.4, 2);
  expect(us.millilitres(a.batches[0]!.amount)).toBe('113\u00a0mL (7 tbsp and 2 tsp)');
  expect(us.millilitres(a.batches[1]!.amount)).toBe('15\u00a0mL (1 tbsp)');
  expect(Math.abs(a.roundedByPct)).toBeLessThan(1);
});

test('per plant, square metre and litre of pot; half strength is half', () => {
  expect(given(labelDose(starterOf('organic-granules')!, { plants: 4 }))).toMatchObject({ total: 160, each: 40 });
  expect(given(labelDose(starterOf('granular-vegetable')!, { plants: 4, areaM2: 2 }))).toMatchObject({
    total: 120,
    each: 30,
    nutrientsEach: { n: 1.5, p2o5: 3, k2o: 3 },
  });
  const pot = product({ dose: { per: 'pot-litre', amount: 3 } });
  expect(given(labelDose(pot, { plants: 2, potLitres: 20, strength: 0.5 }))).toMatchObject({ each: 30, total: 60 });
});

test('the base of the dose must be known; more than the label is refused with the reason', () => {
  expect(labelDose(starterOf('granular-vegetable')!, { plants: 4 })).toEqual([
    { path: 'areaM2', reason: expect.stringMatching(/square metre/) },
  ]);
  expect(labelDose(product({ dose: { per: 'pot-litre', amount: 3 } }), { plants: 1 })).toEqual([
    { path: 'potLitres', reason: expect.any(String) },
  ]);
  expect(labelDose(starterOf('soap')!, { plants: 4 })).toEqual([{ path: 'litresEach', reason: expect.any(String) }]);
  expect(labelDose(starterOf('compost')!, { plants: 4 })).toEqual([
    { path: 'dose', reason: expect.stringMatching(/label/) },
  ]);
  expect(labelDose(starterOf('soap')!, { plants: 4, litresEach: 1, strength: 1.01 })).toEqual([
    { path: 'strength', reason: expect.stringMatching(/label is the law/) },
  ]);
});

test('the mixed amount is never less than needed, nor more than a can too much', () => {
  for (let plants = 1; plants < 30; plants++)
    for (const canLitres of [1.5, 4.546, 7.57, 10]) {
      const a = given(labelDose(starterOf('neem')!, { plants, litresEach: 0.7, canLitres }));
      expect(a.leftOverL).toBeGreaterThanOrEqual(0);
      expect(a.leftOverL).toBeLessThan(0.5);
      expect(a.batches.every((b) => b.waterL <= canLitres && b.amount > 0)).toBe(true);
    }
});

test('rounded down to what can be measured; zero where nothing can', () => {
  expect([0.4, 0.9, 7.3, 12.9].map((x) => measurable(x, { form: 'dry' }))).toEqual([0, 0.5, 7, 12]);
  expect([0.09, 0.29, 7.38, 12.9].map((x) => measurable(x, { form: 'liquid' }))).toEqual([0, 0.2, 7.3, 12]);
});

test('the gardener’s own scale and spoons decide what can be measured', () => {
  const powder = { form: 'dry', gPerMl: 0.5 } as const;
  const tools = { volume: 'L' } as const;
  expect([0.37, 7.38, 12.9].map((x) => measurable(x, powder, { ...tools, scaleStepG: 0.1 }))).toEqual([0.3, 7.3, 12]);
  expect([4, 7.3, 12.9].map((x) => measurable(x, powder, { ...tools, scaleStepG: 5 }))).toEqual([0, 5, 10]);
  // a quarter teaspoon of it weighs 0.625 g, a tablespoon 7.5 g
  expect([0.6, 0.7, 8].map((x) => measurable(x, powder, { ...tools, scaleStepG: 0 }))).toEqual([0, 0.63, 7.5]);
  // no spoons where nobody knows what a spoonful weighs
  expect(measurable(0.7, { form: 'dry' }, { ...tools, scaleStepG: 0 })).toBe(0.5);
  // a batch for one leaf is made larger until the scale shows it
  const bt = starterOf('bt')!;
  const coarse = given(labelDose(bt, { plants: 1, litresEach: 0.25, tools: { ...tools, scaleStepG: 5 } }));
  expect(coarse.batches).toEqual([{ cans: 1, waterL: 5, amount: 5 }]);
});

test('a label in spoons or ounces: what one of them holds, and a powder needs its weight', () => {
  const us = { volume: 'gal-us' } as const;
  expect(unitAmount('tbsp', { form: 'liquid' }, us)).toBeCloseTo(14.79, 2);
  expect(unitAmount('tbsp', { form: 'liquid' }, { ...us, spoons: 'metric' })).toBe(15);
  expect(unitAmount('tsp', { form: 'dry', gPerMl: 0.8 }, us)).toBeCloseTo(3.94, 2);
  // NIST Handbook 44: a fluid ounce is 29.57 mL, an ounce 28.35 g
  expect(unitAmount('oz', { form: 'liquid' }, us)).toBeCloseTo(29.57, 2);
  expect(unitAmount('oz', { form: 'dry' }, us)).toBeCloseTo(28.35, 2);
  const dose = { per: 'litre', amount: 1, unit: 'tbsp' } as const;
  expect(productFaults(product({ form: 'dry', dose })).map((f) => f.path)).toEqual(['gPerMl']);
  expect(productFaults(product({ form: 'dry', dose, gPerMl: 0.8 }))).toEqual([]);
});

test('no dose of any product, for any can and strength, exceeds its label in any batch', () => {
  for (const p of STARTERS)
    for (const strength of [1, 0.5])
      for (const litresEach of [0.05, 0.25, 1.4])
        for (const canLitres of [0.5, 1, 4.546, 10]) {
          const a = labelDose(p, { plants: 3, areaM2: 1.3, potLitres: 7, litresEach, canLitres, strength });
          if (Array.isArray(a)) continue;
          expect(a.roundedByPct).toBeLessThanOrEqual(0);
          for (const b of a.batches) {
            expect(b.amount).toBeGreaterThan(0);
            expect(b.amount / b.waterL).toBeLessThanOrEqual(p.dose!.amount * strength + 1e-6);
          }
        }
  // 3 g of sulfur a litre for one leaf: a quarter of a litre takes 0.5 g, not 1; of BT the smallest batch is half a litre
  const leaf = (id: string) => given(labelDose(starterOf(id)!, { plants: 1, litresEach: 0.25 }));
  expect(leaf('sulfur-spray').batches).toEqual([{ cans: 1, waterL: 0.25, amount: 0.5 }]);
  expect(leaf('bt').batches).toEqual([{ cans: 1, waterL: 0.5, amount: 0.5 }]);
  expect(leaf('bt').leftOverL).toBe(0.25);
});

test('120 % nitrogen, or shares above 100 %, are refused; so is a spray without a type', () => {
  const make = { name: 'Own', kind: 'feed', form: 'dry', n: 5, p2o5: 5, k2o: 5 };
  expect(() => checked(ProductMake, { ...make, n: 120 })).toThrow(RefusedInput);
  expect(productFaults(checked(ProductMake, { ...make, n: 60, k2o: 50 }))).toEqual([
    { path: 'n', reason: expect.stringMatching(/115 %/) },
  ]);
  expect(productFaults(checked(ProductMake, { ...make, kind: 'spray' }))).toEqual([
    { path: 'spray', reason: expect.any(String) },
  ]);
});

test('every starter could be entered by hand, has its own name, and dusty or burning ones say so', () => {
  expect(new Set(STARTERS.map((p) => p.name)).size).toBe(STARTERS.length);
  for (const { id, ...make } of STARTERS) {
    expect([id, productFaults(checked(ProductMake, make))]).toEqual([id, []]);
    if (make.kind === 'spray') expect(make.cautions!.length).toBeGreaterThan(0);
  }
});

test('a millilitre of liquid is weighed by its density, a gram of dry feed is a gram', () => {
  const liquid = { ...STARTERS.find((p) => p.form === 'liquid' && p.kind === 'feed')!, gPerMl: 1.2 };
  expect(gramsOf(liquid, 10)).toBeCloseTo(12, 6);
  const dry = STARTERS.find((p) => p.form === 'dry' && p.kind === 'feed')!;
  expect(gramsOf({ ...dry, gPerMl: 0.8 }, 10)).toBe(10);
  // what a record keeps is grams of product, so its nitrogen is that of the weight
  expect(nutrientsIn({ ...liquid, n: 5, p2o5: 0, k2o: 0 }, 10).n).toBeCloseTo(0.6, 6);
});
