import { formatterFor, METRIC } from '../../src/units/index.js';
import {
  datesInWords,
  differencesBetween,
  halfMonthInWords,
  overYearsInWords,
  plantingDates,
  type PlantedOut,
  troublesOverYears,
  type YearOfTroubles,
} from '../../src/reports/index.js';

const f = formatterFor(METRIC);

describe('planting dates', () => {
  const plant = (plantedOn: string, kg: number, more: Partial<PlantedOut> = {}): PlantedOut => ({
    crop: 'tomato',
    covered: false,
    over: true,
    year: Number(plantedOn.slice(0, 4)),
    plantedOn,
    firstRipe: null,
    kg,
    ...more,
  });
  const pair = (plantedOn: string, kg: number) => [plant(plantedOn, kg), plant(plantedOn, kg)];

  test('a date is compared with the other dates of its own season only', () => {
    // a poor year with early plants, a rich one with late ones: late gave more kilos, early more than its neighbours
    const [dates] = plantingDates([
      ...pair('2025-05-10', 2),
      ...pair('2025-05-20', 1),
      ...pair('2026-05-20', 4),
      ...pair('2026-06-03', 4),
    ]);
    expect(dates!.windows.map((w) => [w.from, w.plants, w.kgEach])).toEqual([
      ['05-01', 2, 2],
      ['05-16', 4, 2.5],
      ['06-01', 2, 4],
    ]);
    // 2 kg against a middle of 1.5 in that year
    expect(dates!.best).toEqual({ from: '05-01', timesUsual: 1.33 });
    expect(datesInWords([dates!], f)).toEqual([
      'Tomato: plants set out 1 to 15 May gave most, 33 % more than a usual plant of their season.',
    ]);
    expect(halfMonthInWords('12-16', f)).toBe('16 to 31 December');
  });

  test('dates of different years say nothing, nor do single plants, nor equal ones', () => {
    expect(plantingDates([...pair('2025-05-10', 1), ...pair('2026-06-10', 3)])[0]).toMatchObject({
      best: null,
      because: 'each-another-year',
    });
    expect(plantingDates([plant('2026-05-10', 1), plant('2026-06-10', 3)])[0]!.because).toBe('too-few');
    expect(plantingDates([...pair('2026-05-10', 2), ...pair('2026-06-10', 2.2)])[0]!.because).toBe('the-same');
  });

  test('a season that still runs, and plants under cover, are not compared with it', () => {
    const now = { over: false };
    const running = [plant('2026-04-10', 3, now), plant('2026-04-10', 3, now), ...pair('2026-05-20', 1)];
    expect(plantingDates(running)[0]).toMatchObject({ windows: [{ kgEach: null }, { kgEach: 1 }], because: 'too-few' });
    // what ended was equal; the running season's early plants are only ahead of their neighbours
    const before = [...pair('2025-04-10', 2), ...pair('2025-05-20', 2)];
    expect(
      plantingDates([...running, plant('2026-05-21', 1, now), plant('2026-05-21', 1, now), ...before])[0]!.because,
    ).toBe('the-same');
    const tunnel = { covered: true };
    const both = plantingDates([
      plant('2026-04-10', 3, tunnel),
      plant('2026-04-10', 3, tunnel),
      ...pair('2026-05-20', 1),
    ]);
    expect(both.map((d) => [d.covered, d.because])).toEqual([
      [true, 'too-few'],
      [false, 'too-few'],
    ]);
    // what holds for all is said once, and what holds for some names them
    expect(datesInWords(both, f)).toEqual([expect.stringMatching(/^Too few plants/)]);
    const same = { ...both[1]!, because: 'the-same' } as const;
    expect(datesInWords([...both, same], f)).toEqual([
      expect.stringMatching(/^Tomato under cover and tomato: too few/),
      'Tomato: the dates gave about the same.',
    ]);
  });

  test('days to the first ripe fruit are those of plants that had some; dates follow the season across New Year', () => {
    const [dates] = plantingDates([
      plant('2027-01-04', 1, { year: 2026 }),
      plant('2026-11-20', 1, { year: 2026, firstRipe: '2027-01-29' }),
      plant('2026-11-25', 1, { year: 2026 }),
    ]);
    expect(dates!.windows.map((w) => [w.from, w.daysToRipe])).toEqual([
      ['11-16', 70],
      ['01-01', null],
    ]);
  });
});

describe('problems over the years', () => {
  const method = {
    mulched: 0,
    way: 'base',
    everyDays: 3,
    covered: 0,
    plantedOn: 140,
    varieties: ['Halt Red'],
  } as const;
  const year = (label: string, ill: number, more: Partial<YearOfTroubles> = {}): YearOfTroubles => ({
    year: Number(label),
    label,
    plants: 8,
    troubles: [{ disorder: 'blossom-end-rot', plants: ill }],
    weather: { meanC: 19, hotDays: 5, rainMm: 200 },
    method: { ...method, varieties: ['Halt Red'] },
    ...more,
  });
  const told = (a: YearOfTroubles, b: YearOfTroubles) => troublesOverYears([a, b])[0]!;
  const mulched = { ...method, varieties: ['Halt Red'], mulched: 1 };
  const hot = { meanC: 19.5, hotDays: 20, rainMm: 190 };

  test('weather and method that changed together cannot be separated; one of them alone is named', () => {
    const both = told(year('2025', 6, { weather: hot }), year('2026', 0, { method: mulched }));
    expect(both.between).toMatchObject({ most: '2025', least: '2026', differs: ['heat', 'mulch'], verdict: 'both' });
    expect(overYearsInWords(both)).toMatch(/hot days and mulch.*cannot be separated/);
    expect(told(year('2025', 6, { weather: hot }), year('2026', 0)).between!.verdict).toBe('weather');
    expect(told(year('2025', 6), year('2026', 0, { method: mulched })).between!.verdict).toBe('method');
    expect(told(year('2025', 6), year('2026', 0)).between!.verdict).toBe('neither');
    expect(told(year('2025', 6, { weather: null }), year('2026', 0, { method: mulched })).between!.verdict).toBe(
      'unknown',
    );
  });

  test('seasons that hardly differ, or have few plants, are not explained', () => {
    expect(overYearsInWords(told(year('2025', 3), year('2026', 1)))).toBeNull();
    expect(told(year('2025', 2, { plants: 2 }), year('2026', 0)).between).toBeNull();
  });

  test('what is not recorded does not differ', () => {
    const a = year('2025', 0, { method: { ...mulched, mulched: null, way: null, everyDays: null } });
    expect(differencesBetween(a, year('2026', 0, { method: mulched }))).toEqual([]);
    const b = year('2026', 0, {
      weather: { meanC: 21, hotDays: 5, rainMm: 320 },
      method: { mulched: 0, way: 'drip', everyDays: 1, covered: 1, plantedOn: 160, varieties: ['Siding'] },
    });
    expect(differencesBetween(year('2025', 0), b)).toEqual([
      'warmth',
      'rain',
      'way',
      'interval',
      'cover',
      'date',
      'variety',
    ]);
  });
});
