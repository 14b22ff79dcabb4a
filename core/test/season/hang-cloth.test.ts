import { hangInWords, hangPlan } from '../../src/season/index.js';
import { METRIC_FORMAT } from '../../src/units/index.js';
import { spellsWith } from '../../src/records/spells.js';

const plant = (heightM: number, more: object = {}) => ({ name: `P${heightM}`, heightM, ...more });

test('cloth hangs a hand above the tallest: on sticks over short plants, over cages, on poles over tall ones', () => {
  expect(hangPlan([plant(0.4), plant(0.5)])).toMatchObject({ on: 'sticks', heightM: 0.7, clips: 8 });
  expect(hangPlan([plant(1.2, { support: 'cage' }), plant(1, { support: 'cylinder' })])).toMatchObject({ on: 'cages' });
  expect(hangPlan([plant(1.2, { support: 'cage' }), plant(1)])).toMatchObject({
    on: 'poles',
    heightM: 1.4,
    dropM: 0.6,
  });
  // a cage that a cordon has outgrown does not carry it
  expect(hangPlan([plant(1.8, { support: 'cage' })])!.on).toBe('poles');
  expect(hangPlan([])).toBeNull();
});

test('precious plants get a piece on the morning side', () => {
  const steps = (precious: boolean) => hangInWords(hangPlan([plant(1.5, { precious })])!, METRIC_FORMAT).join(' ');
  expect(steps(true)).toMatch(/morning side too, for P1.5/);
  expect(steps(false)).not.toMatch(/morning/);
});

test('cloth on one side keeps off a share of the light', () => {
  const block = (side?: 'over' | 'afternoon' | 'morning') =>
    spellsWith({}, [{ date: '2026-07-01', what: 'shade', did: 'on', blockPct: 50, ...(side ? { side } : {}) }])
      .shade[0]!.blockPct;
  expect([block(), block('over'), block('afternoon'), block('morning')]).toEqual([50, 50, 25, 20]);
});
