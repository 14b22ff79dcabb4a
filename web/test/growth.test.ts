import fc from 'fast-check';
import { CROPS, GROWTH_HABITS, PLANT_TYPES, STAGES } from '@candid-leaf/core/records';
import { TRAININGS } from '@candid-leaf/core/pruning';
import { formOf, growthOf, SOIL_Y, type Standing } from '../src/signs/plant/growth';

const standing: fc.Arbitrary<Standing> = fc.record({
  crop: fc.constantFrom(...CROPS),
  habit: fc.constantFrom(...GROWTH_HABITS, null),
  type: fc.constantFrom(...PLANT_TYPES, null),
  stage: fc.constantFrom(...STAGES, null),
  training: fc.constantFrom(...TRAININGS, null),
  load: fc.option(fc.record({ flowers: fc.nat(200), fruit: fc.nat(200) })),
  limp: fc.boolean(),
});
const cordon: Standing = { crop: 'tomato', habit: 'indeterminate', training: 'one-stem', stage: 'ripening' };

describe('the plant drawing', () => {
  it('has its form by crop, training and habit', () => {
    expect(formOf({ crop: 'pepper', habit: null, training: null })).toBe('forked');
    expect(formOf({ crop: 'tomato', habit: 'determinate', training: null })).toBe('bush');
    expect(formOf({ crop: 'tomato', habit: 'indeterminate', training: null })).toBe('one-stem');
    expect(formOf({ crop: 'tomato', habit: 'indeterminate', training: 'two-stems' })).toBe('two-stems');
    expect(formOf({ crop: 'tomato', habit: 'indeterminate', training: 'leave-alone' })).toBe('bush');
    expect(growthOf({ ...cordon, training: 'two-stems' }).stems).toHaveLength(3);
  });

  it('grows from stage to stage, and bears fruit only from its stage on', () => {
    const tops = STAGES.slice(0, 5).map((stage) => growthOf({ ...cordon, stage }).topY);
    expect(tops).toEqual([...tops].sort((a, b) => b - a));
    expect(new Set(tops).size).toBe(5);
    expect(growthOf({ ...cordon, stage: 'vegetative' })).toMatchObject({ fruit: [], flowers: [] });
    expect(growthOf({ ...cordon, stage: 'flowering' }).fruit).toEqual([]);
    expect(growthOf({ ...cordon, stage: 'fruiting' }).fruit.filter((f) => f.ripe)).toEqual([]);
    expect(growthOf(cordon).fruit.filter((f) => f.ripe)).toHaveLength(3);
  });

  it('carries the fruit that was counted, ripe from below', () => {
    const { fruit, flowers } = growthOf({ ...cordon, load: { flowers: 2, fruit: 8 } });
    expect([fruit.length, flowers.length]).toEqual([8, 2]);
    const ripe = fruit.filter((f) => f.ripe).map((f) => f.y);
    const green = fruit.filter((f) => !f.ripe).map((f) => f.y);
    expect(ripe).toHaveLength(4);
    expect(Math.min(...ripe)).toBeGreaterThanOrEqual(Math.min(...green));
  });

  it('droops every leaf if it is limp, and none if not', () => {
    const down = (s: Standing) => growthOf(s).leaves.filter((l) => Math.sin((l.turn * Math.PI) / 180) < 0).length;
    expect(down(cordon)).toBe(0);
    expect(down({ ...cordon, limp: true })).toBe(growthOf(cordon).leaves.length);
  });

  it('stays in its box, whatever is recorded, and has leaves low, high and at its tip', () => {
    fc.assert(
      fc.property(standing, (s) => {
        const { leaves, fruit, flowers, topY } = growthOf(s);
        for (const { x, y } of [...leaves, ...fruit, ...flowers]) {
          expect(x).toBeGreaterThan(15);
          expect(x).toBeLessThan(185);
          expect(y).toBeLessThanOrEqual(SOIL_Y);
        }
        expect(topY).toBeGreaterThan(0);
        expect(leaves.length).toBeLessThan(24);
        for (const part of ['low-leaves', 'tip'] as const) expect(leaves.some((l) => l.part === part)).toBe(true);
        // no two fruits are the same one
        expect(new Set(fruit.map((f) => `${f.x} ${f.y}`)).size).toBe(fruit.length);
      }),
    );
  });
});
