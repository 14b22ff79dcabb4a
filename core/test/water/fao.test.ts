import { readFileSync } from 'node:fs';
import { reportOn } from '@candid-leaf/core/assessment';
import type { PlantCase } from '@candid-leaf/core/records';
import { addDays, dayNumber } from '@candid-leaf/core/units';
import { evaporated, totalEvaporableMm, waterBalance } from '@candid-leaf/core/water';
import { mulchOfPlace } from '../../src/care/index.js';
import { climateTerm, coverShare, mostKc, throughMulch, throughMulchOn } from '../../src/water/evaporation.js';
import { stressCoefficient } from '../../src/water/root-zone.js';
import { aCase } from '../helpers.js';

describe('FAO-56 chapters 7 and 8, worked examples (values from memory)', () => {
  test('example 36: total and readily available water, tomato with roots of 0.8 m and p 0.40', () => {
    const taw = (fc: number, wp: number) => 1000 * (fc - wp) * 0.8;
    const soils = { 'loamy sand': [0.15, 0.06], silt: [0.32, 0.15], 'silty clay': [0.35, 0.23] } as const;
    const raw = Object.values(soils).map(([fc, wp]) => Math.round(0.4 * taw(fc, wp)));
    expect(raw).toEqual([29, 54, 38]);
  });
  test('example 38: a full-grown tomato on silty soil, ten days without water: Dr 55 mm grows to 104.5 mm', () => {
    const taw = 160;
    let dr = 55;
    const course: number[] = [];
    for (let day = 0; day < 10; day++) {
      dr += stressCoefficient(dr, taw, 0.4) * 1.2 * 5;
      course.push(Math.round(dr * 10) / 10);
    }
    expect(course.slice(0, 4)).toEqual([61, 67, 72.8, 78.3]);
    expect(Math.abs(course[9]! - 104.5)).toBeLessThan(0.3);
  });
  test('eq. 73 and Table 19: evaporable water of the top 10 cm lies in the table’s ranges (TEW at 0.10 m)', () => {
    for (const [texture, low, high] of [
      ['sand', 6, 12],
      ['loamy-sand', 9, 14],
      ['sandy-loam', 15, 20],
      ['loam', 16, 22],
      ['silt-loam', 18, 25],
      ['clay', 22, 29],
    ] as const) {
      expect(totalEvaporableMm(texture)).toBeGreaterThanOrEqual(low);
      expect(totalEvaporableMm(texture)).toBeLessThanOrEqual(high);
    }
  });
  test('eq. 72: the upper limit is 1.2 in the standard climate, more in wind and dry air, less in calm damp air', () => {
    expect(mostKc(0.3, climateTerm(2, 45, 0.3))).toBeCloseTo(1.2, 6);
    // by hand: (0.04 · 2.4 − 0.004 · (−25)) · (0.3 / 3)^0.3 = 0.196 · 0.501
    expect(mostKc(0.3, climateTerm(4.4, 20, 0.3))).toBeCloseTo(1.298, 3);
    expect(mostKc(0.3, climateTerm(1, 80, 0.3))).toBeLessThan(1.15);
  });
  test('eq. 76: bare soil at the seedling, nearly covered at the grown crop', () => {
    expect(coverShare(0.15, 1.2, 0.2)).toBeLessThan(0.02);
    expect(coverShare(1.1, 1.2, 1.2)).toBeGreaterThan(0.85);
  });
  test('eq. 74: full up to REW, then falling, never beyond TEW', () => {
    const layer = { texture: 'loam' as const, depletionMm: 0 };
    const daily: number[] = [];
    for (let day = 0; day < 30; day++) {
      const e = evaporated(layer, 4);
      daily.push(e);
      layer.depletionMm += e;
    }
    expect(daily.slice(0, 2)).toEqual([4, 4]); // REW of loam is 9 mm
    daily.slice(1).forEach((e, i) => expect(e).toBeLessThanOrEqual(daily[i]! + 1e-12));
    expect(layer.depletionMm).toBeLessThan(totalEvaporableMm('loam'));
    expect(layer.depletionMm).toBeGreaterThan(0.99 * totalEvaporableMm('loam'));
  });
});

/** Daily weather of Seattle, 2012 to 2015: a general teaching data set (npm package vega-datasets, from NOAA). */
const rows = readFileSync(require.resolve('vega-datasets/data/seattle-weather.csv'), 'utf8')
  .trim()
  .split('\n')
  .slice(1);
const SEATTLE = rows.map((line) => {
  const [date, rain, tMax, tMin, wind] = line.split(',') as [string, string, string, string, string];
  return {
    date: date.replaceAll('/', '-'),
    rainMm: Number(rain),
    tMaxC: Number(tMax),
    tMinC: Number(tMin),
    windMs: Number(wind),
  };
});

describe('four years of real weather', () => {
  const season = (year: number) => SEATTLE.filter((d) => d.date >= `${year}-04-20` && d.date <= `${year}-10-05`);
  const run = (year: number, more: Partial<Omit<PlantCase, 'records'>> & { records?: object } = {}) => {
    const weather = season(year);
    const asOf = weather.at(-1)!.date;
    return waterBalance(
      aCase({
        asOf,
        garden: { latitude: 47.4, longitude: -122.3, elevationM: 130 },
        ...more,
        plant: { crop: 'tomato', transplantedOn: `${year}-05-15`, stage: null, heightM: 1.4, ...more.plant },
        records: { ...more.records, weather },
      } as never),
    ).days;
  };
  const years = [2012, 2013, 2014, 2015];
  const bed = { kind: 'ground', texture: 'loam', areaM2: 0.25 } as const;

  test('the data are what they should be', () => {
    expect(SEATTLE).toHaveLength(1461);
    expect(SEATTLE.every((d) => d.tMinC <= d.tMaxC && d.rainMm >= 0)).toBe(true);
  });
  test('water is conserved on every day, and an unwatered bed is dry by the end of each summer', () => {
    for (const year of years) {
      const days = run(year, { place: bed });
      for (let i = 1; i < days.length; i++) {
        const d = days[i]!;
        const moved = d.depletionMm - days[i - 1]!.depletionMm;
        expect(
          Math.abs(moved - (-d.effectiveRainMm - d.irrigationMm + d.usedMm + d.drainedMm + d.correctionMm)),
        ).toBeLessThan(1e-9);
      }
      const on = (day: string) => days.find((d) => d.date === `${year}-${day}`)!.fractionAvailable;
      expect(on('08-25')).toBeLessThan(0.35);
      // a transplant that nobody waters has used up its plug within a week
      expect(on('05-16')).toBeGreaterThan(on('08-25'));
    }
  });
  test('ETo follows the season: 4 to 7 mm in July, under 1.2 mm in December, 600 to 1100 mm a year', () => {
    const all = waterBalance(
      aCase({
        asOf: '2015-12-31',
        garden: { latitude: 47.4, longitude: -122.3, elevationM: 130 },
        place: bed,
        plant: { transplantedOn: '2012-01-01' },
        records: { weather: SEATTLE },
      }),
    ).days;
    const mean = (month: string) => {
      const list = all.filter((d) => d.date.slice(5, 7) === month);
      return list.reduce((s, d) => s + d.etoMm, 0) / list.length;
    };
    expect(mean('07')).toBeGreaterThan(4);
    expect(mean('07')).toBeLessThan(7);
    expect(mean('12')).toBeLessThan(1.2);
    const yearly = all.reduce((s, d) => s + d.etoMm, 0) / 4;
    expect(yearly).toBeGreaterThan(600);
    expect(yearly).toBeLessThan(1100);
  });
  test('a thin sheet of fabric saves more than straw of its depth, and lies where straw would be asked for', () => {
    const [from, to] = ['2026-06-01', '2026-07-01'];
    const under = (kind: string, depthMm: number) => throughMulch({ kind, depthMm });
    expect(under('fabric', 2)).toBe(0.45);
    expect(under('straw', 2)).toBeCloseTo(0.98);
    // deep straw is as good as a sheet, and a sheet never worse than straw of its depth
    for (const depth of [1, 20, 50, 90]) expect(under('paper', depth)).toBeLessThanOrEqual(under('straw', depth));
    expect(throughMulch(undefined)).toBe(1);
    expect(under('fabric', 0)).toBe(1);
    // what has settled lets more through, day by day, and the next spell begins anew
    const through = throughMulchOn([
      { from, to: addDays(to, -1), depthMm: 50, kind: 'clippings' },
      { from: to, depthMm: 50, kind: 'clippings' },
    ]);
    const on = (day: string) => through(day, dayNumber(day));
    expect([on(from), on(addDays(from, 20)), on(to)]).toEqual([0.5, expect.closeTo(1 - 0.5 * 0.5 ** 0.5), 0.5]);
    expect(on('2026-05-31')).toBe(1);
    const asked = (kind: string, more: object = {}) =>
      mulchOfPlace({
        place: {
          kind: 'ground',
          mulch: [{ from, depthMm: 2, kind, ...more }],
          lengthM: null,
          widthM: null,
        },
        plants: [{ heightM: 0.6, transplantedOn: '2026-05-01' }],
        history: [],
        weather: Array.from({ length: 10 }, (_, i) => ({
          date: addDays(to, -i - 1),
          tMinC: 14,
          tMaxC: 25,
          rainMm: 0,
        })).reverse(),
        today: to,
        bareSeen: false,
      }).kind;
    expect([asked('dark-fabric'), asked('straw'), asked('dark-fabric', { to: '2026-06-20' })]).toEqual([
      'lies',
      'lay',
      'lay',
    ]);
  });

  test('mulch saves water, and a 10 L pot must be watered more often than one of 40 L', () => {
    /** Waterings of a gardener who refills whenever RAW is passed. */
    const visits = (place: PlantCase['place'], year: number): { times: number; litres: number } => {
      const given: { date: string; litres: number }[] = [];
      const last = season(year).at(-1)!.date;
      for (let guard = 0; guard < 200; guard++) {
        const from = given.at(-1)?.date ?? `${year}-05-15`;
        const thirsty = run(year, { place, records: { watering: given } }).find(
          (d) => d.date > from && d.depletionMm > d.rawMm,
        );
        if (!thirsty || thirsty.date >= last) break;
        given.push({ date: addDays(thirsty.date, 1), litres: thirsty.depletionMm * thirsty.soilM2 });
      }
      return { times: given.length, litres: given.reduce((s, w) => s + w.litres, 0) };
    };
    const year = 2015;
    const mulched = { ...bed, mulch: [{ from: `${year}-05-01`, depthMm: 60 }] };
    expect(visits(mulched, year).litres).toBeLessThan(visits(bed, year).litres);
    const pot = (volumeL: number) => ({ kind: 'container', texture: 'potting-mix', volumeL }) as const;
    expect(visits(pot(10), year).times).toBeGreaterThan(1.5 * visits(pot(40), year).times);
  });
});

test('Table 12 (from memory) as a check of the whole: with usual watering the mean Kcb + Ke of mid-season is near Kc 1.15', () => {
  const date = (i: number) => addDays('2026-05-01', i);
  const weather = Array.from({ length: 115 }, (_, i) => ({ date: date(i), tMinC: 14, tMaxC: 27, rainMm: 0 }));
  const days = waterBalance(
    aCase({
      asOf: date(114),
      place: { kind: 'ground', texture: 'loam', areaM2: 0.25 },
      plant: { transplantedOn: date(0), stage: null, heightM: 1.3 },
      records: {
        weather,
        watering: Array.from({ length: 30 }, (_, i) => ({ date: date(4 * i), litres: 5, how: 'overhead' as const })),
      },
    }),
  ).days.slice(72, 114);
  const mean = days.reduce((s, d) => s + d.kc, 0) / days.length;
  expect(mean).toBeGreaterThan(1.05);
  expect(mean).toBeLessThan(1.25);
  expect(reportOn(aCase()).water.daily.every((d) => Math.abs(d.kc - d.kcb - d.ke) < 0.003)).toBe(true);
});
