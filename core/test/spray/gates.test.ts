import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import {
  enterFrom,
  gateInWords,
  keepOutOn,
  conflictFaults,
  pickFrom,
  sprayGates,
  trialOf,
  waitFaults,
  waitsOn,
  type SprayQuestion,
} from '../../src/spray/index.js';
import { ASOF } from '../helpers.js';

const LABEL = { everyDays: 7, mostUses: 3, harvestDays: 3, reentryHours: 4, organic: true };
const mild = { date: ASOF, tMinC: 12, tMaxC: 24, rainMm: 0, windMs: 1.5 };
const q = (more: Partial<SprayQuestion> = {}): SprayQuestion => ({
  spray: 'neem',
  label: LABEL,
  on: ASOF,
  hour: 'evening',
  weather: mild,
  next: { ...mild, date: addDays(ASOF, 1) },
  enclosed: false,
  thirsty: false,
  flowersOpen: false,
  pondNear: false,
  earlier: [],
  pickOn: null,
  organicOnly: false,
  ...more,
});
const spray = (product: 'neem' | 'soap' | 'sulfur' | 'copper' | 'bt', back: number, more: object = {}) => ({
  product,
  date: addDays(ASOF, -back),
  ...more,
});
const gates = (more: Partial<SprayQuestion> = {}): string[] => sprayGates(q(more)).map((g) => g.gate);

test('a mild, still evening before a dry day: nothing argues against it', () => {
  expect(gates()).toEqual([]);
});

test.each([
  ['heat', { weather: { ...mild, tMinC: 24, tMaxC: 36 } }],
  ['heat', { hour: 'dawn', weather: { ...mild, tMinC: 27, tMaxC: 36 } }],
  ['sun', { hour: 'midday' }],
  ['bees', { hour: 'dawn', flowersOpen: true }],
  ['thirst', { thirsty: true }],
  ['wind', { weather: { ...mild, windMs: 4.1 } }],
  ['rain', { weather: { ...mild, rainMm: 3 } }],
  ['rain', { next: { ...mild, date: addDays(ASOF, 1), rainMm: 5, rainChancePct: 70 } }],
  ['conflict', { earlier: [spray('sulfur', 29)] }],
  ['conflict', { earlier: [spray('soap', 2)] }],
  ['same-day', { earlier: [spray('bt', 0)] }],
  ['too-soon', { earlier: [spray('neem', 6)] }],
  ['most-uses', { earlier: [spray('neem', 60), spray('neem', 40), spray('neem', 20)] }],
  ['harvest', { pickOn: addDays(ASOF, 2) }],
  ['pond', { pondNear: true }],
  ['organic', { organicOnly: true, label: { ...LABEL, organic: null } }],
] as const)('%s blocks it, with the reason', (gate, more) => {
  const found = sprayGates(q(more));
  expect(found.map((g) => g.gate)).toEqual([gate]);
  expect(gateInWords(found[0]!, METRIC_FORMAT).length).toBeGreaterThan(15);
});

test.each([
  ['BT does not burn', { spray: 'bt', hour: 'midday', weather: { ...mild, tMaxC: 38, tMinC: 25 }, thirsty: true }],
  ['a hot day with a mild evening (under 27 °C) is fine', { weather: { ...mild, tMinC: 15, tMaxC: 34 } }],
  ['flowers in the evening', { flowersOpen: true }],
  ['wind of 4 m/s', { weather: { ...mild, windMs: 4 } }],
  ['rain that will probably not come', { next: { ...mild, date: addDays(ASOF, 1), rainMm: 5, rainChancePct: 40 } }],
  ['rain and wind under glass', { enclosed: true, weather: { ...mild, rainMm: 20, windMs: 9 } }],
  ['sulfur a month ago', { earlier: [spray('sulfur', 30)] }],
  ['a leaf that was tried yesterday', { earlier: [spray('neem', 1, { trial: true })] }],
  ['picking on the day it is free again', { pickOn: addDays(ASOF, 3) }],
  ['weedkiller from over the fence', { earlier: [{ product: 'weedkiller-nearby', date: ASOF }] }],
] as const)('%s does not block it', (_what, more) => {
  expect(gates(more as Partial<SprayQuestion>)).toEqual([]);
});

test('waits run by the garden’s own days and hours, across midnight, months and years', () => {
  expect(pickFrom({ date: '2026-12-30', harvestDays: 3 })).toBe('2027-01-02');
  expect(pickFrom({ date: ASOF })).toBe(ASOF);
  expect(enterFrom({ date: '2026-07-31', hour: 20 }, 4)).toEqual({ day: '2026-08-01', hour: 0 });
  expect(enterFrom({ date: ASOF, hour: 20 }, 24)).toEqual({ day: addDays(ASOF, 1), hour: 20 });
  expect(enterFrom({ date: ASOF, hour: 6 }, 0)).toEqual({ day: ASOF, hour: 6 });
});

test('waits in progress, a leaf test like any spray: the same answer as a picking gets', () => {
  const list = [
    spray('copper', 2, { harvestDays: 3 }),
    spray('neem', 1, { harvestDays: 1 }),
    spray('soap', 0, { harvestDays: 5, trial: true }),
  ];
  expect(waitsOn(ASOF, list)).toEqual([
    { spray: list[0], until: addDays(ASOF, 1) },
    { spray: list[2], until: addDays(ASOF, 5) },
  ]);
  for (const s of list)
    for (let ahead = 0; ahead <= 6; ahead++) {
      const on = addDays(ASOF, ahead);
      expect(waitFaults(on, undefined, [s], '').length).toBe(waitsOn(on, [s]).length);
    }
});

test('re-entry: from the evening of the spray, by the label’s hours, whatever the harvest', () => {
  const out = (back: number, reentryHours: number) =>
    keepOutOn(ASOF, [spray('copper', back, { reentryHours })]).map((k) => k.until);
  expect([out(0, 0), out(0, 4), out(1, 4), out(1, 24), out(2, 24)]).toEqual([
    [],
    [addDays(ASOF, 1)],
    [ASOF],
    [ASOF],
    [],
  ]);
});

test('a picking during a wait, and two conflicting sprays in either order, are refused unless explained', () => {
  const copper = spray('copper', 2, { harvestDays: 3 });
  expect(waitFaults(ASOF, undefined, [copper], 'data.')).toEqual([
    { path: 'data.date', reason: expect.stringMatching(/copper was sprayed on 16 July.*not to pick before 19 July/) },
  ]);
  expect(waitFaults(addDays(ASOF, 1), undefined, [copper], 'data.')).toEqual([]);
  expect(waitFaults(ASOF, 'eaten by the children', [copper], 'data.')).toEqual([]);
  expect(conflictFaults(spray('neem', 0), [spray('sulfur', 10)], 'data.')).toEqual([
    { path: 'data.product', reason: expect.stringMatching(/leave 30 days between/) },
  ]);
  expect(conflictFaults(spray('sulfur', 20), [spray('neem', 0)], 'data.')).toHaveLength(1);
  expect(conflictFaults(spray('neem', 0), [spray('sulfur', 30)], 'data.')).toEqual([]);
  // written down late: the other came long after it
  expect(conflictFaults(spray('sulfur', 40), [spray('neem', 0)], 'data.')).toEqual([]);
  expect(conflictFaults({ ...spray('neem', 0), because: 'I forgot' }, [spray('sulfur', 10)], 'data.')).toEqual([]);
});

test('one leaf first; checked a day later; burnt leaves end it, and earlier damage is not blamed on it', () => {
  const look = (back: number, ...signs: string[]) => ({
    date: addDays(ASOF, -back),
    signs: signs.map((sign) => ({ sign: sign as never, present: true })),
  });
  const tried = (back: number, ...looks: ReturnType<typeof look>[]) => [
    { spray: spray('neem', back, { trial: true }), looks },
  ];
  expect(trialOf('neem', [], ASOF)).toEqual({ state: 'try' });
  expect(trialOf('neem', tried(0), ASOF)).toEqual({ state: 'wait', until: addDays(ASOF, 1), triedOn: ASOF });
  expect(trialOf('neem', tried(1), ASOF)).toMatchObject({ state: 'look' });
  // a look on the day it was put on says nothing yet
  expect(trialOf('neem', tried(1, look(1)), ASOF)).toMatchObject({ state: 'look' });
  expect(trialOf('neem', tried(1, look(0)), ASOF)).toMatchObject({ state: 'passed' });
  expect(trialOf('neem', tried(2, look(1, 'leaf-tip-burn')), ASOF)).toMatchObject({
    state: 'burnt',
    seenOn: addDays(ASOF, -1),
  });
  expect(trialOf('neem', tried(2, look(2, 'leaf-tip-burn'), look(1, 'leaf-tip-burn')), ASOF)).toMatchObject({
    state: 'passed',
  });
  // another product, or one of long ago, says nothing of this one
  expect(trialOf('soap', tried(2, look(1)), ASOF)).toEqual({ state: 'try' });
  expect(trialOf('neem', tried(31, look(30)), ASOF)).toEqual({ state: 'try' });
});
