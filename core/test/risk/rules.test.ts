import { reportOn } from '@candid-leaf/core/assessment';
import { contextOf } from '@candid-leaf/core/diagnosis';
import {
  blightPeriods,
  comingInWords,
  comingRisks,
  hourlyC,
  humidHours,
  isMouldDay,
  leafWetness,
  mouldDue,
  severityDue,
  severityValue,
} from '@candid-leaf/core/risk';
import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import { planPlace } from '@candid-leaf/core/water';
import fc from 'fast-check';
import { aCase, ASOF, everyNDays, seen } from '../helpers.js';

/** A day with so many hours at 90 % or more: the humidity is searched for, as stations give only its mean. */
function dayWith(hours: number, tMinC: number, date = ASOF) {
  for (let pct = 30; pct <= 100; pct += 0.25) {
    const w = { date, tMinC, tMaxC: tMinC + 10, rainMm: 0, rhMeanPct: pct };
    if (humidHours(w).hours >= hours) return w;
  }
  throw new Error(`no humidity gives ${hours} hours`);
}
const days = (...list: [hours: number, tMinC: number][]) =>
  list.map(([hours, tMinC], i) => dayWith(hours, tMinC, addDays(ASOF, i)));

// Hutton criteria: two days in a row, each with 10 °C or more and six hours at 90 % (James Hutton Institute 2017)
test.each([
  ['six hours on both days', days([6, 10], [6, 10]), 1],
  ['five hours on the second', days([6, 10], [5, 10]), 0],
  ['a night under 10 °C', days([8, 10], [8, 9.9]), 0],
  ['three days make two periods', days([7, 12], [7, 12], [7, 12]), 2],
  ['a dry day between', days([9, 12], [2, 12], [9, 12]), 0],
] as const)('Hutton criteria: %s', (_, list, periods) => {
  expect(blightPeriods(list, 'hutton')).toHaveLength(periods);
});
// Smith period: the same with eleven hours (Smith 1956)
test('a Smith period needs eleven hours on both days', () => {
  expect(blightPeriods(days([11, 10], [11, 10]), 'smith')).toHaveLength(1);
  expect(blightPeriods(days([11, 10], [10, 10]), 'smith')).toHaveLength(0);
  expect(blightPeriods(days([11, 10], [10, 10]), 'hutton')).toHaveLength(1);
  // a missing day breaks it
  const [a, b] = days([12, 11], [12, 11]);
  expect(blightPeriods([a!, { ...b!, date: addDays(ASOF, 2) }], 'smith')).toHaveLength(0);
});

// TOM-CAST's table (Pitblado 1992, after Madden, Pennypacker & MacNab 1978): hours of wet leaves × their temperature
test.each([
  [6, 15, 0],
  [7, 15, 1],
  [15, 17, 1],
  [16, 15, 2],
  [21, 15, 3],
  [3, 19, 0],
  [4, 19, 1],
  [9, 19, 2],
  [16, 20, 3],
  [23, 20, 4],
  [2, 23, 0],
  [3, 23, 1],
  [6, 23, 2],
  [13, 23, 3],
  [21, 25, 4],
  [8, 28, 1],
  [22, 28, 3],
  [20, 12, 0],
  [24, 30, 0],
])('%i hours at %i °C have a severity of %i', (hours, meanC, severity) => {
  expect(severityValue(hours, meanC)).toBe(severity);
});

test('leaf disease is due at a severity of 35, then after each 20', () => {
  // ten wet hours at 22 °C count 2 a day
  const wet = Array.from({ length: 40 }, (_, i) => ({
    date: addDays(ASOF, i),
    tMinC: 18,
    tMaxC: 26,
    rainMm: 0,
    wetHours: 10,
    rhMeanPct: 80,
  }));
  const each = severityValue(10, leafWetness(wet[0]!).meanC!);
  expect(each).toBe(2);
  const first = severityDue(wet, addDays(ASOF, -1));
  expect(first).toEqual({ on: addDays(ASOF, Math.ceil(35 / each) - 1), sum: 36, added: 36 });
  const second = severityDue(wet, first!.on);
  expect(second).toMatchObject({ sum: 56, added: 20 });
});

test('hours follow the day: coldest before sunrise, and the drier the day the fewer are humid', () => {
  const hours = hourlyC({ tMinC: 10, tMaxC: 20 });
  expect(hours).toHaveLength(24);
  expect(Math.min(...hours)).toBe(10);
  expect(Math.max(...hours)).toBe(20);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 22, noNaN: true }),
      fc.double({ min: 3, max: 15, noNaN: true }),
      fc.integer({ min: 20, max: 95 }),
      (tMinC, range, pct) => {
        const w = { date: ASOF, tMinC, tMaxC: tMinC + range, rainMm: 0, rhMeanPct: pct };
        const [drier, moister] = [humidHours(w).hours, humidHours({ ...w, rhMeanPct: pct + 5 }).hours];
        expect(moister).toBeGreaterThanOrEqual(drier);
        expect(humidHours(w, 80).hours).toBeGreaterThanOrEqual(drier);
        // rain only adds
        expect(leafWetness({ ...w, rainMm: 12 }).hours).toBeGreaterThanOrEqual(leafWetness(w).hours);
      },
    ),
  );
});

test('grey mould needs measured humidity, and two such days', () => {
  const humid = (i: number, pct: number | null) => ({
    date: addDays(ASOF, i),
    tMinC: 13,
    tMaxC: 22,
    rainMm: 0,
    rhMeanPct: pct,
  });
  expect(isMouldDay(humid(0, 88))).toBe(true);
  expect(isMouldDay(humid(0, 60))).toBe(false);
  expect(isMouldDay(humid(0, null))).toBe(false);
  expect(mouldDue([humid(0, 60), humid(1, 88), humid(2, 88)], ASOF)).toBe(addDays(ASOF, 2));
  expect(mouldDue([humid(0, 60), humid(1, 88), humid(2, 60), humid(3, 88)], ASOF)).toBeNull();
  // it came before today already
  expect(mouldDue([humid(-2, 88), humid(-1, 88), humid(0, 88), humid(1, 88)], ASOF)).toBeNull();
});

type Sky = { tMinC?: number; tMaxC?: number; rainMm?: number; rhMeanPct?: number };
const ahead = (...list: Sky[]) =>
  Array.from({ length: 7 }, (_, i) => ({
    date: addDays(ASOF, i + 1),
    tMinC: 15,
    tMaxC: 26,
    rainMm: 0,
    rhMeanPct: 55,
    rainChancePct: 90,
    ...list[i],
  }));
function coming(c: ReturnType<typeof aCase>, forecast: ReturnType<typeof ahead>, held = false) {
  const ctx = contextOf(c, forecast);
  const found = reportOn(c).diagnosis;
  const plant = { id: 'a', case: c, balance: ctx.balance, held };
  const { plan } = planPlace('p', { method: 'by-need' }, [plant], forecast).pours[0]!;
  return comingRisks(ctx, { plan, forecast, found });
}
const watered = { records: { watering: everyNDays(3, 8) } };
const dry = {
  records: { watering: [...everyNDays(3, 8).filter((w) => w.date < addDays(ASOF, -13)), { date: ASOF, litres: 0 }] },
};
const names = (list: ReturnType<typeof coming>): string[] => list.map((r) => r.disorder);

test('a quiet week shows nothing, and neither does one without a forecast', () => {
  for (const stage of ['vegetative', 'flowering', 'fruiting', 'ripening'] as const)
    expect(coming(aCase({ ...watered, plant: { stage } }), ahead())).toEqual([]);
  expect(coming(aCase(watered), [])).toEqual([]);
});

test('a downpour on dry soil splits ripening fruit: pick the day before', () => {
  const rain = ahead({}, {}, {}, { rainMm: 45 });
  const ripe = { plant: { stage: 'ripening' } } as const;
  const split = (held: boolean) =>
    coming(aCase({ ...dry, ...ripe }), rain, held).find((r) => r.disorder.endsWith('cracking'));
  expect(split(true)).toMatchObject({ on: addDays(ASOF, 4), act: 'pick-ripe', actOn: addDays(ASOF, 3) });
  // the soak that the plan gives today splits them first
  expect(split(false)).toMatchObject({ on: ASOF, act: 'pick-ripe', actOn: ASOF });
  // not where the fruit is green, where the soil is moist, or under a roof
  expect(names(coming(aCase({ ...dry, plant: { stage: 'vegetative' } }), rain))).toEqual([]);
  expect(names(coming(aCase({ ...watered, ...ripe }), rain))).not.toContain('ring-cracking');
  const roofed = aCase({ ...dry, ...ripe, place: { kind: 'tunnel-bed', cover: 'tunnel', vents: 'open' } });
  expect(names(coming(roofed, rain, true))).not.toContain('ring-cracking');
  // and not where it is split already
  const split2 = aCase({ ...dry, ...ripe, observations: [seen('fruit-ring-cracks')] });
  expect(names(coming(split2, rain))).not.toContain('ring-cracking');
});

test('heat at flowering, and after a hard cut, has one act and its day', () => {
  const heat = ahead({}, { tMaxC: 36 }, { tMaxC: 37 }, { tMaxC: 37 }, { tMaxC: 36 });
  expect(coming(aCase({ ...watered, plant: { stage: 'flowering' } }), heat)).toMatchObject([
    { disorder: 'blossom-drop', act: 'shake-early' },
  ]);
  const pruning = [{ date: addDays(ASOF, -3), leafSharePct: 50 }];
  const bare = aCase({ records: { ...watered.records, pruning }, plant: { stage: 'ripening' } });
  expect(coming(bare, heat).find((r) => r.disorder === 'sunscald')).toMatchObject({
    act: 'shade-now',
    on: addDays(ASOF, 2),
    actOn: addDays(ASOF, 1),
  });
  expect(names(coming(aCase({ ...watered, plant: { stage: 'ripening' } }), heat))).not.toContain('sunscald');
});

test('blight weather, once: not in heat, under a roof, or when last week had it already', () => {
  const humid = ahead({}, { rhMeanPct: 92 }, { rhMeanPct: 92 }, { rhMeanPct: 92 });
  const [blight] = coming(aCase(watered), humid).filter((r) => r.disorder === 'late-blight');
  expect(blight).toMatchObject({ on: addDays(ASOF, 3), actOn: addDays(ASOF, 2), act: 'keep-leaves-dry', times: null });
  expect(blight!.rule).toMatch(/Hutton/);
  const hot = humid.map((w) => ({ ...w, tMaxC: 31 }));
  expect(names(coming(aCase(watered), hot))).not.toContain('late-blight');
  const inside = aCase({ ...watered, place: { kind: 'tunnel-bed', cover: 'tunnel' } });
  expect(names(coming(inside, humid))).not.toContain('late-blight');
  const wetWeek = aCase(watered);
  wetWeek.records.weather = wetWeek.records.weather.map((w) => ({ ...w, rhMeanPct: 99 }));
  expect(names(coming(wetWeek, humid))).not.toContain('late-blight');
});

test('frost calls for a cover the evening before, by the limit of the place', () => {
  const cold = ahead({}, {}, { tMinC: 2 });
  expect(coming(aCase(watered), cold)).toMatchObject([{ disorder: 'frost-injury', actOn: addDays(ASOF, 2) }]);
  const inside = aCase({ ...watered, place: { kind: 'indoors', volumeL: 12 } });
  expect(coming(inside, cold)).toEqual([]);
});

test('what is said names the act, its day and the rule', () => {
  const cold = coming(aCase(watered), ahead({ tMinC: 1 }))[0]!;
  const said = comingInWords(cold, ASOF, METRIC_FORMAT);
  expect(said.what).toMatch(/^Frost/);
  expect(said.act).toBe('Today: cover it in the evening.');
});
