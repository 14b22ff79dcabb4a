import fc from 'fast-check';
import { reportOn } from '@candid-leaf/core/assessment';
import type { PlantCase } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { availableShare, type BalanceDay, evenness, SOILS, WATER_CROPS, waterBalance } from '@candid-leaf/core/water';
import { basalCoefficient } from '../../src/water/crops.js';
import { stressCoefficient } from '../../src/water/root-zone.js';
import { corrected, fractionFromWeight } from '../../src/water/corrections.js';
import { aCase, ASOF, everyNDays } from '../helpers.js';

test('FAO-56 Table 19 (from memory): middle values lie within the ranges of the table', () => {
  const ranges = {
    sand: [0.07, 0.17, 0.02, 0.07],
    'loamy-sand': [0.11, 0.19, 0.03, 0.1],
    'sandy-loam': [0.18, 0.28, 0.06, 0.16],
    loam: [0.2, 0.3, 0.07, 0.17],
    'silt-loam': [0.22, 0.36, 0.09, 0.21],
    clay: [0.32, 0.4, 0.2, 0.24],
  } as const;
  for (const [texture, [fcLow, fcHigh, wpLow, wpHigh]] of Object.entries(ranges)) {
    const soil = SOILS[texture as keyof typeof ranges];
    expect(soil.fieldCapacity).toBeCloseTo((fcLow + fcHigh) / 2, 2);
    expect(soil.wiltingPoint).toBeCloseTo((wpLow + wpHigh) / 2, 2);
  }
});

test('FAO-56 Tables 11, 17 and 22 (from memory): stage lengths, Kcb and p of tomato and sweet pepper', () => {
  expect([WATER_CROPS.tomato.stageDays, WATER_CROPS.pepper.stageDays]).toEqual([
    [30, 40, 45, 30],
    [30, 35, 40, 20],
  ]);
  expect([10, 90, 145].map((day) => basalCoefficient('tomato', day, 1.2))).toEqual([0.15, 1.1, 0.7]);
  expect([10, 80, 125].map((day) => basalCoefficient('pepper', day, 0.6))).toEqual([0.15, 1, 0.8]);
  expect([WATER_CROPS.tomato.depletionFraction, WATER_CROPS.pepper.depletionFraction]).toEqual([0.4, 0.3]);
});

test('FAO-56 eq. 84: Ks is 1 down to RAW, then falls straight to 0 at TAW', () => {
  expect([0, 40, 70, 100].map((d) => stressCoefficient(d, 100, 0.4))).toEqual([1, 1, 0.5, 0]);
});

const weather = fc.array(
  fc.record({
    tMinC: fc.integer({ min: 5, max: 20 }),
    range: fc.integer({ min: 4, max: 18 }),
    rainMm: fc.oneof(fc.constant(0), fc.integer({ min: 0, max: 70 })),
  }),
  { minLength: 15, maxLength: 60 },
);
const places = fc.constantFrom<PlantCase['place'][]>(
  { kind: 'ground', texture: 'loam', areaM2: 0.25 },
  { kind: 'raised-bed', texture: 'clay', areaM2: 0.2, drainageMmPerH: 10 },
  { kind: 'container', texture: 'potting-mix', volumeL: 6, potMaterial: 'terracotta' },
  { kind: 'container', texture: 'porous-mix', volumeL: 30, potMaterial: 'plastic' },
  { kind: 'raised-bed', texture: 'sand', areaM2: 0.3 },
);
type Drawn = { tMinC: number; range: number; rainMm: number }[];
const dated = (days: Drawn, extraRain: (i: number) => number = () => 0) =>
  days.map((d, i) => ({
    date: addDays(ASOF, i + 1 - days.length),
    tMinC: d.tMinC,
    tMaxC: d.tMinC + d.range,
    rainMm: d.rainMm + extraRain(i),
  }));

test('the balance conserves water to 1e-9 on every day of any season, soil checks included', () => {
  fc.assert(
    fc.property(
      weather,
      places,
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 0, max: 12 }),
      (days, place, every, litres) => {
        const soilChecks = [{ date: addDays(ASOF, -5), feel: 'dry' as const }];
        const c = aCase({ place, records: { weather: dated(days), watering: everyNDays(every, litres), soilChecks } });
        const out = waterBalance(c).days;
        expect(out).toHaveLength(days.length);
        out.reduce<BalanceDay | null>((before, d) => {
          if (before) {
            const moved = d.depletionMm - before.depletionMm;
            const flows = -(d.effectiveRainMm + d.irrigationMm) + d.usedMm + d.drainedMm + d.correctionMm;
            expect(Math.abs(moved - flows)).toBeLessThan(1e-9);
          }
          const rain = d.effectiveRainMm + d.interceptedMm + d.runoffMm;
          expect(Math.abs(rain - (dated(days).find((w) => w.date === d.date)?.rainMm ?? 0))).toBeLessThan(1e-9);
          expect(d.depletionMm).toBeLessThanOrEqual(d.tawMm + 1e-9);
          return d;
        }, null);
      },
    ),
    { numRuns: 25 },
  );
});

test('more rain never means drier soil, and more shade or mulch never drier either', () => {
  fc.assert(
    fc.property(
      weather,
      places,
      fc.integer({ min: 0, max: 14 }),
      fc.integer({ min: 1, max: 40 }),
      (days, place, at, more) => {
        const run = (p: PlantCase['place'], extra: number) =>
          waterBalance(aCase({ place: p, records: { weather: dated(days, (i) => (i === at ? extra : 0)) } })).days;
        const plain = run(place, 0);
        run(place, more).forEach((d, i) =>
          // a wetter surface may lose a little on the next day that a dry one keeps: of a pot's small store up to a hundredth and a bit
          expect(d.fractionAvailable).toBeGreaterThanOrEqual(plain[i]!.fractionAvailable - 0.02),
        );
        const from = addDays(ASOF, -100);
        run({ ...place, shade: [{ from, blockPct: 50 }] }, 0).forEach((d, i) =>
          expect(d.etoMm).toBeLessThanOrEqual(plain[i]!.etoMm),
        );
        // a bed that has the sun for half a day dries more slowly, but it dries
        run({ ...place, sunHours: 5 }, 0).forEach((d, i) => expect(d.etoMm).toBeCloseTo(0.76 * plain[i]!.etoMm, 6));
        // a covered surface stays damp longer, so single days may lose more; what it lost by any day is never more
        let lost = 0;
        run({ ...place, mulch: [{ from, depthMm: 60 }] }, 0).forEach((d, i) => {
          lost += d.evaporatedMm - plain[i]!.evaporatedMm;
          expect(lost).toBeLessThanOrEqual(1e-9);
        });
      },
    ),
    { numRuns: 40 },
  );
});

test('a bigger pot never dries sooner', () => {
  fc.assert(
    fc.property(weather, fc.integer({ min: 4, max: 20 }), fc.integer({ min: 1, max: 40 }), (days, volumeL, more) => {
      const dry = days.map((d) => ({ ...d, rainMm: 0 }));
      const run = (v: number) =>
        waterBalance(
          aCase({
            place: { kind: 'container', texture: 'potting-mix', volumeL: v },
            plant: { transplantedOn: addDays(ASOF, 1 - days.length) },
            records: { weather: dated(dry) },
          }),
        ).days;
      const small = run(volumeL);
      run(volumeL + more).forEach((d, i) =>
        expect(d.fractionAvailable).toBeGreaterThanOrEqual(small[i]!.fractionAvailable - 1e-9),
      );
    }),
    { numRuns: 40 },
  );
});

test('a steadier series never scores a lower evenness', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -0.5, max: 0.5, noNaN: true }), { minLength: 6, maxLength: 21 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (wobble, calm) => {
        const series = (k: number) =>
          wobble.map((w) => ({ fractionAvailable: 0.5 + k * w, ks: 1, waterlogged: false }));
        expect(evenness(series(calm))!).toBeGreaterThanOrEqual(evenness(series(1))! - 1e-12);
      },
    ),
  );
});

test('a soil check corrects the model by how certain each is', () => {
  const after = corrected({ fraction: 0.8, sd: 0.3 }, { fraction: 0.25, sd: 0.15 });
  expect(after.fraction).toBeCloseTo(0.36, 2); // gain 0.09 / (0.09 + 0.0225) = 0.8
  expect(after.sd).toBeLessThan(0.15);
  const dry = (soilChecks: PlantCase['records']['soilChecks']) =>
    reportOn(aCase({ records: { soilChecks, watering: everyNDays(3, 6) } })).water.daily.at(-1)!.fractionAvailable;
  expect(dry([{ date: ASOF, feel: 'dry', after: true }])).toBeLessThan(dry([]));
});

test('a check comes before that day’s watering, and the watering then counts in full', () => {
  const place = { kind: 'container', texture: 'potting-mix', volumeL: 20 } as const;
  const tonight = (records: object) => waterBalance(aCase({ place, records })).days.at(-1)!.fractionAvailable;
  const older = [{ date: addDays(ASOF, -3), litres: 5 }];
  const watering = [...older, { date: ASOF, litres: 9 }];
  const checked = (after: boolean) =>
    tonight({ watering, soilChecks: [{ date: ASOF, feel: 'dry', ...(after ? { after } : {}) }] });
  expect(checked(false)).toBeGreaterThan(0.75);
  expect(checked(true)).toBeLessThan(checked(false) - 0.1);
});

test('dry only lowers the estimate and wet only raises it; a weight above the drained one is full', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 12, noNaN: true }), fc.constantFrom('dry', 'wet'), (litres, feel) => {
      const left = (soilChecks: object[]) =>
        waterBalance(
          aCase({ records: { watering: [{ date: addDays(ASOF, -4), litres }], soilChecks } as never }),
        ).days.at(-1)!.fractionAvailable;
      const change = left([{ date: ASOF, feel }]) - left([]);
      expect(feel === 'dry' ? -change : change).toBeGreaterThanOrEqual(-1e-9);
    }),
    { numRuns: 60 },
  );
  expect(fractionFromWeight(13.4, { drainedKg: 13 })?.fraction).toBe(1);
  expect(fractionFromWeight(12.9, { drainedKg: 13 })).toBeNull();
});

test('a watering of unknown amount fills part of the store, until it ran out all of it, and is less certain', () => {
  const place = { kind: 'container', texture: 'potting-mix', volumeL: 20 } as const;
  const tonight = (today: object[]) =>
    waterBalance(
      aCase({ place, records: { watering: [{ date: addDays(ASOF, -4), litres: 5 }, ...today] } as never }),
    ).days.at(-1)!;
  const [none, unknown, full] = [[], [{ date: ASOF }], [{ date: ASOF, end: 'ran-through' }]].map(tonight);
  expect(unknown!.fractionAvailable).toBeGreaterThan(none!.fractionAvailable + 0.2);
  expect(full!.fractionAvailable).toBeGreaterThan(unknown!.fractionAvailable);
  expect(full!.fractionAvailable).toBeGreaterThan(0.85);
  expect(unknown!.uncertainty).toBeGreaterThan(full!.uncertainty + 0.05);
  expect(unknown!.irrigationL).toBeGreaterThan(1);
  expect(tonight([{ date: ASOF, litres: 0 }]).irrigationL).toBe(0);
});

test('two anchor weights turn a pot weight into water left', () => {
  const potWeights = [
    { date: addDays(ASOF, -9), kg: 9, state: 'dry' as const },
    { date: addDays(ASOF, -8), kg: 13, state: 'drained' as const },
    { date: ASOF, kg: 11, state: 'unknown' as const, after: true },
  ];
  const c = aCase({
    place: { kind: 'container', texture: 'potting-mix', volumeL: 20 },
    records: { potWeights, watering: everyNDays(1, 3) },
  });
  expect(
    waterBalance({ ...c, records: { ...c.records, potWeights: [] } }).days.at(-1)!.fractionAvailable,
  ).toBeGreaterThan(0.8);
  expect(Math.abs(waterBalance(c).days.at(-1)!.fractionAvailable - 0.5)).toBeLessThan(0.15);
});

test('the next watering comes earlier in a pot than in a bed, and counts only likely rain', () => {
  const pot = aCase({
    place: { kind: 'container', texture: 'potting-mix', volumeL: 14 },
    records: { watering: [{ date: ASOF, litres: 5 }] },
  });
  const bed = aCase({ records: { watering: [{ date: addDays(ASOF, -3), litres: 25 }] } });
  expect(reportOn(pot).water.nextWatering!.date < reportOn(bed).water.nextWatering!.date).toBe(true);
  const rain = (rainChancePct: number) =>
    Array.from({ length: 7 }, (_, i) => ({
      date: addDays(ASOF, i + 1),
      tMinC: 15,
      tMaxC: 27,
      rainMm: 20,
      rainChancePct,
    }));
  expect(reportOn(bed, rain(90)).water.nextWatering).toBeNull();
  expect(reportOn(bed, rain(20)).water.nextWatering).not.toBeNull();
});

test('no weather: no balance, and the report says what is missing', () => {
  const r = reportOn(aCase({ records: { weather: [] } }));
  expect(r.water.daily).toEqual([]);
  expect(r.water.nextWatering).toBeNull();
  expect(r.notKnown.join(' ')).toContain('no weather is recorded');
});

test('a missing day is interpolated and marked', () => {
  const full = aCase().records.weather;
  const r = waterBalance(aCase({ records: { weather: full.filter((w) => w.date !== addDays(ASOF, -3)) } }));
  expect(r.days.filter((d) => d.filled).map((d) => d.date)).toEqual([addDays(ASOF, -3)]);
});

test('available water of a loam is 130 mm per metre (θFC − θWP, eq. 82)', () => {
  expect(1000 * availableShare('loam')).toBeCloseTo(130, 6);
});
