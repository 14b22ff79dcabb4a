import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import {
  enterFrom,
  gateInWords,
  keepOutOn,
  conflictFaults,
  pickFrom,
  sprayGates,
  sprayRemark,
  sprayUnknowns,
  trialOf,
  unknownsInWords,
  waitFaults,
  waitsOn,
  type SprayQuestion,
} from '../../src/spray/index.js';
import type { Spraying } from '../../src/records/record-classes.js';
import { ASOF } from '../helpers.js';
import { mildDays, sprayQuestion } from '../questions.js';

const LABEL = { everyDays: 7, mostUses: 3, harvestDays: 3, reentryHours: 4, organic: true };
const days = (...differ: object[]) => mildDays(ASOF, ...differ);
const q = (more: Partial<SprayQuestion> = {}): SprayQuestion => sprayQuestion(ASOF, more);
const spray = (product: Spraying['product'], back: number, more: object = {}) => ({
  product,
  date: addDays(ASOF, -back),
  ...more,
});
const gates = (more: Partial<SprayQuestion> = {}): string[] => sprayGates(q(more)).map((g) => g.gate);

test('a mild, still evening before a dry day: nothing argues against it', () => {
  expect(gates()).toEqual([]);
});

test.each([
  ['heat', { spray: 'soap', ahead: days({ tMinC: 24, tMaxC: 36 }) }],
  ['heat', { spray: 'soap', hour: 'dawn', ahead: days({ tMinC: 27, tMaxC: 36 }) }],
  ['sun', { hour: 'midday' }],
  ['thirst', { thirsty: true }],
  ['wind', { ahead: days({ windMs: 4.1 }) }],
  ['rain', { ahead: days({ rainMm: 3 }) }],
  ['rain', { ahead: days({}, { rainMm: 5, rainChancePct: 70 }) }],
  // a heavy rain that may come counts, and a light one that will
  ['rain', { ahead: days({}, { rainMm: 35, rainChancePct: 20 }) }],
  ['rain', { ahead: days({}, { rainMm: 2, rainChancePct: 30 }) }],
  ['conflict', { earlier: [spray('sulfur', 29)] }],
  ['conflict', { earlier: [spray('soap', 2)] }],
  ['conflict', { spray: 'sulfur', earlier: [spray('oil', 29)] }],
  ['conflict', { spray: 'copper', earlier: [spray('phosphonate', 19)] }],
  ['same-day', { earlier: [spray('bt', 0)] }],
  ['too-soon', { earlier: [spray('neem', 6)] }],
  ['most-uses', { earlier: [spray('neem', 60), spray('neem', 40), spray('neem', 20)] }],
  ['harvest', { pickOn: addDays(ASOF, 2) }],
  // nobody entered a label: no picking is promised
  ['harvest', { spray: 'copper', label: { ...LABEL, harvestDays: null }, pickOn: addDays(ASOF, 10) }],
  ['pond', { pondNear: true }],
  ['organic', { organicOnly: true, label: { ...LABEL, organic: null } }],
  // oils and sulfur: the two days after count, and a frost
  ['hot-after', { ahead: days({}, {}, { tMaxC: 30 }) }],
  ['hot-after', { spray: 'sulfur', ahead: days({}, { tMaxC: 31 }) }],
  ['frost-after', { spray: 'oil', ahead: days({}, { tMinC: 2 }) }],
  // bees: at no hour what kills them when dry, and only in the evening what kills them while wet
  ['bees-never', { spray: 'spinosad', flowersOpen: true }],
  ['bees-never', { spray: 'broad-insecticide', flowersOpen: true }],
  ['bees', { spray: 'pyrethrin', hour: 'dawn', flowersOpen: true }],
  [
    'rotate',
    { spray: 'spinosad', label: { ...LABEL, everyDays: null }, earlier: [spray('spinosad', 9), spray('spinosad', 8)] },
  ],
] as const)('%s blocks it, with the reason', (gate, more) => {
  const found = sprayGates(q(more));
  expect(found.map((g) => g.gate)).toEqual([gate]);
  expect(gateInWords(found[0]!, METRIC_FORMAT).length).toBeGreaterThan(15);
});

test.each([
  ['BT does not burn', { spray: 'bt', hour: 'midday', ahead: days({ tMaxC: 38, tMinC: 25 }), thirsty: true }],
  ['soap on the mild evening (under 27 °C) of a hot day', { spray: 'soap', ahead: days({ tMinC: 15, tMaxC: 34 }) }],
  ['oil before days of 29 °C', { spray: 'oil', ahead: days({ tMaxC: 29 }, { tMaxC: 29 }, { tMaxC: 29 }) }],
  ['soap before a hot day', { spray: 'soap', ahead: days({}, { tMaxC: 33 }) }],
  ['flowers in the evening', { flowersOpen: true }],
  ['soap at first light on a plant in flower', { spray: 'soap', hour: 'dawn', flowersOpen: true }],
  ['pyrethrin in the evening on a plant in flower', { spray: 'pyrethrin', flowersOpen: true }],
  ['wind of 4 m/s', { ahead: days({ windMs: 4 }) }],
  ['rain that will probably not come', { ahead: days({}, { rainMm: 5, rainChancePct: 25 }) }],
  ['rain and wind under glass', { enclosed: true, ahead: days({ rainMm: 20, windMs: 9 }) }],
  ['sulfur a month ago', { earlier: [spray('sulfur', 30)] }],
  ['a leaf that was tried yesterday', { earlier: [spray('neem', 1, { trial: true })] }],
  ['another group between', { spray: 'spinosad', earlier: [spray('spinosad', 20), spray('bt', 9)] }],
  ['picking on the day it is free again', { pickOn: addDays(ASOF, 3) }],
  ['weedkiller from over the fence', { earlier: [{ product: 'weedkiller-nearby', date: ASOF }] }],
] as const)('%s does not block it', (_what, more) => {
  expect(gates(more as Partial<SprayQuestion>)).toEqual([]);
});

test('what nothing measures is asked, not passed', () => {
  expect(sprayUnknowns(q())).toEqual([]);
  expect(sprayUnknowns(q({ ahead: [] }))).toEqual(['temperature', 'wind', 'rain']);
  expect(sprayUnknowns(q({ ahead: days({ windMs: null }) }))).toEqual(['wind']);
  expect(sprayUnknowns(q({ ahead: [], enclosed: true }))).toEqual(['temperature']);
  // what lasts on leaves needs the two days after, too
  expect(sprayUnknowns(q({ ahead: days().slice(0, 2) }))).toEqual(['temperature']);
  expect(sprayUnknowns(q({ spray: 'soap', ahead: days().slice(0, 2) }))).toEqual([]);
  expect(sprayUnknowns(q({ spray: 'bt', ahead: days().slice(0, 1) }))).toEqual(['rain']);
  expect(unknownsInWords(['wind', 'rain'])).toBe(
    'Make sure first that leaves hang still, and that no rain is on its way: we don’t know.',
  );
});

test('waits run by the garden’s own days and hours, across midnight, months and years', () => {
  expect(pickFrom({ date: '2026-12-30', product: 'copper', harvestDays: 3 })).toBe('2027-01-02');
  // no label entered: soap has no wait on any, of the others nobody knows
  expect(pickFrom({ date: ASOF, product: 'soap' })).toBe(ASOF);
  expect(pickFrom({ date: ASOF, product: 'copper' })).toBe(addDays(ASOF, 21));
  expect(waitFaults(ASOF, undefined, [spray('copper', 20)], '')).toEqual([
    { path: 'date', reason: expect.stringMatching(/waiting time is not recorded: read the label/) },
  ]);
  expect(waitFaults(ASOF, undefined, [spray('copper', 21)], '')).toEqual([]);
  expect(enterFrom({ date: '2026-07-31', hour: 20 }, 4)).toEqual({ day: '2026-08-01', hour: 1 });
  expect(enterFrom({ date: ASOF, hour: 20 }, 24)).toEqual({ day: addDays(ASOF, 1), hour: 21 });
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

test('a spray that was made is saved; what spoke against it is one line', () => {
  const remark = (s: Partial<Spraying>, at: object = {}) =>
    sprayRemark(
      { date: ASOF, product: 'neem', ...s },
      { ahead: days(), enclosed: false, flowersOpen: false, others: [spray('neem', 2, { trial: true })], ...at },
      METRIC_FORMAT,
    );
  expect(remark({})).toBe('');
  expect(remark({}, { others: [] })).toBe('no leaf was tested first');
  // what this device does not have, it says nothing of
  expect(remark({}, { others: null })).toBe('');
  expect(remark({ product: 'soap', tMaxC: 34 }, { others: null })).toMatch(/^34.°C that day/);
  expect(remark({ product: 'spinosad' }, { flowersOpen: true })).toMatch(/kills bees/);
  expect(remark({ everyDays: 7 }, { others: [spray('neem', 3)] })).toMatch(/not again before/);
  expect(remark({ trial: true }, { others: [], flowersOpen: true, ahead: days({ tMaxC: 36 }) })).toBe('');
});
