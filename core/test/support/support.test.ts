import { addDays } from '@candid-leaf/core/units';
import { dealOut, rankOf, supportPlan, type SupportQuestion, type Wanting } from '../../src/support/index.js';
import { ASOF } from '../helpers.js';

const q = (more: Partial<SupportQuestion> = {}): SupportQuestion => ({
  today: ASOF,
  crop: 'tomato',
  habit: 'indeterminate',
  stage: 'fruiting',
  heightM: 1.2,
  isPot: false,
  tiedOn: addDays(ASOF, -3),
  tieCuts: false,
  windOn: null,
  stock: {},
  ...more,
});

test('support by habit: string for cordons, cage for bushes, a small cage for peppers; from what is in the shed', () => {
  const kind = (more: object) => supportPlan(q(more)).kind;
  expect([kind({}), kind({ habit: 'determinate' }), kind({ crop: 'pepper', habit: null })]).toEqual([
    'string',
    'cage',
    'small-cage',
  ]);
  expect(supportPlan(q({ stock: { stringM: 0, stakes: 4 } }))).toMatchObject({
    kind: 'stake',
    because: 'in-stock',
    lengthM: 2.1,
  });
  expect(supportPlan(q({ habit: 'determinate', stock: { cages: 0, stakes: 2 } }))).toMatchObject({
    kind: 'stake',
    lengthM: 1.5,
  });
  expect(kind({ crop: 'pepper', stock: { cages: 0, canes: 6 } })).toBe('small-stake');
  // what nobody counted is not none
  expect(kind({ stock: { stakes: 4 } })).toBe('string');
});

test('a cordon of 1.2 m: at least 1.8 m of support, a tie every 20 to 25 cm, weekly', () => {
  const p = supportPlan(q());
  expect(p.lengthM).toBeGreaterThanOrEqual(1.8);
  expect(1.2 / p.ties).toBeGreaterThanOrEqual(0.2);
  expect(1.2 / p.ties).toBeLessThanOrEqual(0.25);
  expect(p.tieOn).toBe(addDays(ASOF, 4));
  // none recorded is not none tied: nothing is ordered
  expect(supportPlan(q({ tiedOn: null })).tieOn).toBeNull();
  expect(supportPlan(q({ tiedOn: null, untied: true })).tieOn).toBe(ASOF);
  // what stands there decides: a cordon in a cage needs no weekly tie, one on a panel does
  expect(supportPlan(q({ standing: 'cage' }))).toMatchObject({ kind: 'cage', because: 'stands', tieOn: null });
  expect(supportPlan(q({ standing: 'panel' })).tieOn).not.toBeNull();
  expect(supportPlan(q({ heightM: 0.2 }))).toMatchObject({ ties: 0, tieOn: null });
  expect(supportPlan(q({ habit: 'determinate' })).tieOn).toBeNull();
  expect(supportPlan(q({ tieCuts: true }))).toMatchObject({ tieOn: ASOF, reTie: true });
});

test('a cordon that outgrew its string is lowered and leaned; a staked or shorter one is not', () => {
  expect([
    supportPlan(q({ heightM: 1.9 })).lower,
    supportPlan(q({ heightM: 1.7 })).lower,
    supportPlan(q({ heightM: 1.9, stock: { stringM: 0, stakes: 3 } })).lower,
  ]).toEqual([true, false, false]);
});

test('support is checked before strong wind, and pots are anchored; not for wind far ahead', () => {
  expect(supportPlan(q({ windOn: addDays(ASOF, 2), isPot: true }))).toMatchObject({
    checkBefore: addDays(ASOF, 2),
    anchor: true,
  });
  expect(supportPlan(q({ windOn: addDays(ASOF, 5), isPot: true }))).toMatchObject({ checkBefore: null, anchor: false });
  // a caged bush is shaken too; a low plant in a bed is not
  const caged = { windOn: addDays(ASOF, 2), habit: 'determinate' as const, standing: 'cage' as const };
  expect(supportPlan(q({ ...caged, heightM: 0.8 })).checkBefore).toBe(addDays(ASOF, 2));
  expect(supportPlan(q({ ...caged, heightM: 0.2 })).checkBefore).toBeNull();
});

const w = (name: string, more: Partial<Wanting> = {}): Wanting => ({
  id: name,
  name,
  value: 2,
  atRisk: true,
  exposure: 0.5,
  young: false,
  needs: 1,
  ...more,
});
test('cloth goes by value, fruit at risk, exposure and youth; the shortage is shown', () => {
  const dealt = dealOut(
    [w('little', { value: 1 }), w('much', { value: 3 }), w('bare', { atRisk: false }), w('open', { exposure: 1 })],
    2,
  );
  expect(dealt.given.map((x) => x.name)).toEqual(['much', 'open']);
  expect(dealt.without.map((x) => x.name)).toEqual(
    ['bare', 'little'].sort(
      (a, b) =>
        rankOf(w(b, b === 'little' ? { value: 1 } : { atRisk: false })) -
        rankOf(w(a, a === 'little' ? { value: 1 } : { atRisk: false })),
    ),
  );
  expect(dealt.short).toBe(2);
});

test('never more cloth than there is, no plant left out that would still fit, and value outweighs the rest', () => {
  for (let stock = 0; stock <= 6; stock += 0.7) {
    const list = Array.from({ length: 7 }, (_, i) =>
      w(`p${i}`, {
        value: ((i % 3) + 1) as 1 | 2 | 3,
        exposure: i / 7,
        needs: 0.5 + (i % 4) * 0.4,
        young: i % 2 === 0,
        atRisk: i % 3 !== 0,
      }),
    );
    const { given, without } = dealOut(list, stock);
    const used = given.reduce((n, x) => n + x.needs, 0);
    expect(used).toBeLessThanOrEqual(stock + 1e-9);
    for (const x of without) expect(x.needs).toBeGreaterThan(stock - used - 1e-9);
    expect(given.length + without.length).toBe(list.length);
  }
  expect(rankOf(w('a', { value: 3, atRisk: false, exposure: 0 }))).toBeGreaterThan(
    rankOf(w('b', { value: 1, atRisk: true, exposure: 1, young: true })),
  );
});
