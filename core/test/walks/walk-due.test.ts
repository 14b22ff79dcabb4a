import { partsFor, walkDue, walkReasonInWords, type WalkQuestion } from '@candid-leaf/core/walks';
import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import fc from 'fast-check';
import { ASOF } from '../helpers.js';

const day = (back: number) => addDays(ASOF, -back);
type Weather = WalkQuestion['weather'][number];
/** Fair weather from three weeks back to a week ahead; `change` by days back, negative ahead. */
const weather = (change: (back: number) => Partial<Weather> = () => ({})): Weather[] =>
  Array.from({ length: 28 }, (_, i) => {
    const back = 20 - i;
    return { date: day(back), tMinC: 14, tMaxC: 25, rainMm: 0, windMs: 2, ...change(back) };
  });
const ask = (change: Partial<WalkQuestion> = {}) =>
  walkDue({
    today: ASOF,
    rhythm: 'weekly',
    lastLooks: [day(2), day(1)],
    plantedOn: [day(60), day(60)],
    weather: weather(),
    frostFromC: 3,
    away: [],
    findings: [],
    ...change,
  });
const kinds = (change: Partial<WalkQuestion>) => ask(change)?.reasons.map((r) => r.kind) ?? [];

describe('the rhythm', () => {
  test('weekly: seven days after the plant left longest, with leaves turned over', () => {
    expect(kinds({ lastLooks: [day(6), day(0)] })).toEqual([]);
    expect(kinds({ lastLooks: [day(7), day(0)] })).toEqual(['rhythm']);
    expect(ask({ lastLooks: [day(7), day(1)] })!.undersides).toBe(true);
  });
  test('daily: a glance each day, turned over once a week; off: only for a reason', () => {
    expect(ask({ rhythm: 'daily', lastLooks: [day(1), day(1)] })).toMatchObject({ undersides: false });
    expect(ask({ rhythm: 'daily', lastLooks: [day(8), day(1)] })).toMatchObject({ undersides: true });
    expect(kinds({ rhythm: 'off', lastLooks: [null, null] })).toEqual([]);
  });
  test('a plant nobody has looked at is due a week after it was planted', () => {
    expect(kinds({ lastLooks: [null], plantedOn: [day(8)] })).toEqual(['rhythm']);
    expect(kinds({ lastLooks: [null], plantedOn: [null] })).toEqual(['rhythm']);
  });
  test('new plants are looked at daily for a week, at a glance, from the day after planting', () => {
    const fresh = (back: number, more: object = {}) => ask({ lastLooks: [null], plantedOn: [day(back)], ...more });
    expect(fresh(0)).toBeNull();
    expect(fresh(1)).toEqual({ reasons: [{ kind: 'new', plantedOn: day(1) }], undersides: false });
    expect(fresh(6, { lastLooks: [day(1)] })!.reasons.map((r) => r.kind)).toEqual(['new']);
    expect(fresh(6, { lastLooks: [ASOF] })).toBeNull();
    expect(fresh(7)!.reasons.map((r) => r.kind)).toEqual(['new', 'rhythm']);
    expect(fresh(8, { lastLooks: [day(3)] })).toBeNull();
    // one new plant among old ones is enough, and the gardener's rhythm does not matter
    expect(kinds({ rhythm: 'off', plantedOn: [day(60), day(2)] })).toEqual(['new']);
    expect(walkReasonInWords({ kind: 'new', plantedOn: '2026-07-16' }, ASOF, METRIC_FORMAT)).toBe(
      'planted on 16 July: look daily for a week for limp leaves and cut stems',
    );
  });
  test('no plants, looked at today, or nobody there: no walk', () => {
    expect(ask({ lastLooks: [] })).toBeNull();
    expect(ask({ lastLooks: [ASOF, ASOF], weather: weather((b) => ({ windMs: b === -1 ? 12 : 2 })) })).toBeNull();
    expect(ask({ lastLooks: [day(30), null], away: [{ from: day(1), to: day(-3) }] })).toBeNull();
  });
});

describe('what makes a walk due', () => {
  const wet = (from: number, to: number) => weather((b) => ({ rainMm: b <= from && b >= to ? 1 : 0 }));
  test('three wet days in a row, once over and for four days; two are not enough, and a look since ends it', () => {
    expect(kinds({ weather: wet(3, 1), lastLooks: [day(4)] })).toEqual(['wet']);
    expect(kinds({ weather: wet(2, 1), lastLooks: [day(4)] })).toEqual([]);
    expect(kinds({ weather: wet(2, 0), lastLooks: [day(4)] })).toEqual([]);
    expect(kinds({ weather: wet(6, 4), lastLooks: [day(5)] })).toEqual(['wet']);
    expect(kinds({ weather: wet(7, 5), lastLooks: [day(6)] })).toEqual([]);
    expect(kinds({ weather: wet(6, 3), lastLooks: [day(2)] })).toEqual([]);
  });
  test('two hot days on end, from 32 °C on', () => {
    const hot = (c: number) => weather((b) => ({ tMaxC: b === 2 || b === 1 ? c : 25 }));
    expect(kinds({ weather: hot(32), lastLooks: [day(3)] })).toEqual(['heat']);
    expect(kinds({ weather: hot(31.9), lastLooks: [day(3)] })).toEqual([]);
  });
  test('a frost night by the place’s limit, until it was looked at that morning or later', () => {
    const cold = weather((b) => ({ tMinC: b === 1 ? 3 : 14 }));
    expect(kinds({ weather: cold, lastLooks: [day(2)] })).toEqual(['frost']);
    expect(kinds({ weather: cold, lastLooks: [day(1)] })).toEqual([]);
    expect(kinds({ weather: cold, lastLooks: [day(2)], frostFromC: -1 })).toEqual([]);
  });
  test('a storm within two days, before it comes', () => {
    const storm = (ahead: number) => weather((b) => ({ windMs: b === -ahead ? 8 : 2 }));
    expect(kinds({ weather: storm(2) })).toEqual(['storm']);
    expect(kinds({ weather: storm(3) })).toEqual([]);
    expect(kinds({ weather: storm(0) })).toEqual(['storm']);
  });
  test('coming home, most urgent of all', () => {
    const away = [{ from: day(10), to: day(2) }];
    expect(kinds({ away, lastLooks: [day(11)] })).toEqual(['home', 'rhythm']);
    expect(kinds({ away, lastLooks: [day(1)] })).toEqual([]);
  });
  test('two weeks after a treatment started the others are checked', () => {
    const finding = (back: number) => [{ disorder: 'early-blight' as const, openedOn: day(back) }];
    expect(kinds({ findings: finding(13) })).toEqual([]);
    expect(kinds({ findings: finding(14) })).toEqual(['finding']);
    expect(kinds({ findings: finding(16), lastLooks: [day(2)] })).toEqual([]);
  });
});

test('property: looking at everything ends every walk; no later look makes one due', () => {
  const days = fc.integer({ min: 1, max: 20 });
  fc.assert(
    fc.property(
      fc.array(days, { minLength: 1, maxLength: 4 }),
      fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 28, maxLength: 28 }),
      days,
      (looks, rain, later) => {
        const q = {
          weather: weather((b) => ({ rainMm: rain[20 - b]! })),
          lastLooks: looks.map(day),
          plantedOn: looks.map(() => day(60)),
        };
        const due = ask(q);
        const again = ask({ ...q, lastLooks: looks.map((back) => day(Math.max(1, back - later))) });
        expect((again?.reasons.length ?? 0) <= (due?.reasons.length ?? 0)).toBe(true);
        expect(ask({ ...q, lastLooks: looks.map(() => ASOF) })).toBeNull();
      },
    ),
    { numRuns: 200 },
  );
});

test('it opens at the parts that the reason, the open problem and the season suggest, from the soil up', () => {
  const due = ask({ weather: weather((b) => ({ rainMm: b >= 1 && b <= 3 ? 5 : 0 })), lastLooks: [day(4)] })!;
  expect(partsFor(due, 'fruiting', [])).toEqual(['low-leaves', 'leaves', 'fruit']);
  expect(partsFor(due, 'fruiting', ['root-knot-nematodes'])).toContain('soil');
  expect(partsFor(due, null, ['blossom-end-rot']).length).toBeLessThanOrEqual(4);
});

test('each reason in half a line', () => {
  const say = (r: Parameters<typeof walkReasonInWords>[0]) =>
    walkReasonInWords(r, ASOF, METRIC_FORMAT).replaceAll('\u00a0', ' ');
  expect(say({ kind: 'wet', days: 3, until: day(1) })).toBe('3 wet days in a row, until 17 July');
  expect(say({ kind: 'home', days: 1, until: day(1) })).toBe(
    'you were away for 1 day, until 17 July: check the pots first',
  );
  expect(say({ kind: 'rhythm', lastOn: day(9) })).toBe('last looked over 9 days ago');
  expect(say({ kind: 'rhythm', lastOn: null })).toMatch(/no look at the whole bed is recorded/);
  expect(say({ kind: 'frost', on: day(1), lowestC: 2 })).toBe('the night to 17 July dropped to 2 °C');
  expect(say({ kind: 'storm', on: ASOF, windMs: 12 })).toMatch(/is forecast today/);
});
