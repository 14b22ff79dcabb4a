import fc from 'fast-check';
import {
  type ClimateDay,
  daysOfHours,
  HOUR_MS,
  measuredClimate,
  nightLowC,
  type WeatherHour,
} from '@candid-leaf/core/climate';
import { addDays } from '@candid-leaf/core/units';

const hour = (at: string, more: Partial<WeatherHour> = {}): WeatherHour => ({
  at: Date.parse(at),
  tC: 20,
  rainMm: 0,
  rhPct: 60,
  windMs: 2,
  solarMj: 1,
  ...more,
});
/** Hours of a whole UTC day. */
const hours = (day: string, of: (utc: number) => Partial<WeatherHour> = () => ({})): WeatherHour[] =>
  Array.from({ length: 24 }, (_, h) => hour(`${day}T${String(h).padStart(2, '0')}:00:00Z`, of(h)));
const LATER = Date.parse('2027-01-01T00:00:00Z');

describe('hours become the days of the garden', () => {
  test('in its own time zone: rain at 23:00 UTC falls on the next day in Rome', () => {
    const two = [
      ...hours('2026-07-17'),
      ...hours('2026-07-18', (h) => ({ rainMm: h === 23 ? 4 : 0 })),
      ...hours('2026-07-19'),
    ];
    const rain = (zone: string) =>
      daysOfHours(two, zone, LATER)
        .filter((d) => d.rainMm > 0)
        .map((d) => [d.date, d.rainMm]);
    expect(rain('UTC')).toEqual([['2026-07-18', 4]]);
    expect(rain('Europe/Rome')).toEqual([['2026-07-19', 4]]);
    expect(rain('America/Denver')).toEqual([['2026-07-18', 4]]);
  });

  test('extremes, sums and means by hand; a leaf is wet at 90 % or in rain; the night ends on its morning', () => {
    const [, day] = daysOfHours(
      [
        ...hours('2026-07-17', (h) => ({ tC: h >= 22 ? 24 : 20 })),
        ...hours('2026-07-18', (h) => ({
          tC: h < 6 ? 16 : h === 15 ? 31 : 22,
          rhPct: h < 6 ? 95 : 50,
          rainMm: h === 18 ? 2.5 : 0,
          solarMj: h >= 6 && h < 18 ? 2 : 0,
        })),
      ],
      'UTC',
      LATER,
    );
    expect(day).toMatchObject({
      date: '2026-07-18',
      tMinC: 16,
      tMaxC: 31,
      rainMm: 2.5,
      rhMeanPct: 61.3,
      windMs: 2,
      solarMj: 24,
      wetHours: 7,
      // two hours of 24 and six of 16
      nightC: 18,
    });
  });

  test('a day with fewer than twenty hours is no day; an hour sent twice counts once', () => {
    const day = hours('2026-07-18', () => ({ rainMm: 1 }));
    expect(daysOfHours(day.slice(5), 'UTC', LATER)).toEqual([]);
    expect(daysOfHours(day.slice(4), 'UTC', LATER)).toHaveLength(1);
    expect(daysOfHours([...day, ...day], 'UTC', LATER)[0]!.rainMm).toBe(24);
  });

  test('rain that is still to come today counts by its chance', () => {
    const noon = Date.parse('2026-07-18T12:00:00Z');
    const [today] = daysOfHours(
      hours('2026-07-18', (h) => ({ rainMm: h === 9 || h === 16 ? 4 : 0, rainChancePct: 25 })),
      'UTC',
      noon,
    );
    expect(today).toMatchObject({ rainMm: 5, rainToComeMm: 1 });
  });

  test('no rain is lost or made, in any zone, over a change of the clock', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('UTC', 'Europe/Rome', 'America/Denver', 'Asia/Kathmandu', 'Australia/Lord_Howe'),
        fc.array(fc.integer({ min: 0, max: 50 }), { minLength: 96, maxLength: 96 }),
        (zone, rain) => {
          const start = Date.parse('2026-10-23T00:00:00Z');
          const all = rain.map((mm, i) => hour(new Date(start + i * HOUR_MS).toISOString(), { rainMm: mm / 10 }));
          const days = daysOfHours(all, zone, LATER, 1);
          const sum = days.reduce((s, d) => s + d.rainMm, 0);
          expect(sum).toBeCloseTo(rain.reduce((a, b) => a + b, 0) / 10, 1);
        },
      ),
    );
  });

  test('a warm night is read from its mean where the minimum came the evening after', () => {
    expect(nightLowC({ tMinC: 14, nightC: 23 })).toBe(21);
    expect(nightLowC({ tMinC: 14, nightC: 15 })).toBe(14);
    expect(nightLowC({ tMinC: 14 })).toBe(14);
  });
});

describe('the climate of ten years', () => {
  /** Years of days: frost until and from a day of the year, rain every third day in the first half. */
  const years = (from: number, count: number, frosty: (monthDay: string, year: number) => boolean): ClimateDay[] => {
    const days: ClimateDay[] = [];
    for (let day = `${from}-01-01`; day <= `${from + count - 1}-12-31`; day = addDays(day, 1)) {
      const cold = frosty(day.slice(5), Number(day.slice(0, 4)));
      days.push({
        date: day,
        tMinC: cold ? -2 : 9,
        tMaxC: cold ? 6 : 21,
        rainMm: day.slice(5) < '07-01' && days.length % 3 === 0 ? 6 : 0,
      });
    }
    return days;
  };

  test('the usual frosts are the medians of the years', () => {
    const last = ['04-10', '04-20', '04-30', '04-12', '05-08', '04-22', '04-18', '04-25', '04-21', '04-19'];
    const climate = measuredClimate(
      years(2016, 10, (md, y) => md <= last[y - 2016]! || md >= '10-25'),
      45,
    )!;
    expect(climate).toMatchObject({ lastFrost: '04-21', firstFrost: '10-25', years: 10 });
    expect(climate.months[0]).toMatchObject({ tMinC: -2, tMaxC: 6 });
    expect(climate.months[6]).toMatchObject({ tMinC: 9, tMaxC: 21, wetAfterDry: 0 });
    expect(climate.months[5]).toMatchObject({ wetAfterWet: 0, rainPerWetDayMm: 6 });
    // after a dry day comes another dry one, or a wet one
    expect(climate.months[5]!.wetAfterDry).toBeCloseTo(0.5, 1);
  });

  test('south of the equator the year is turned; frost in fewer than half of the years is not usual', () => {
    const south = measuredClimate(
      years(2016, 10, (md) => md >= '05-20' && md <= '09-10'),
      -38,
    )!;
    expect(south).toMatchObject({ lastFrost: '09-10', firstFrost: '05-20' });
    const rare = measuredClimate(
      years(2016, 10, (md, y) => y % 3 === 0 && md === '01-10'),
      33,
    )!;
    expect(rare).toMatchObject({ lastFrost: null, firstFrost: null });
  });

  test('fewer than five whole years are weather, not climate', () => {
    expect(
      measuredClimate(
        years(2022, 4, () => false),
        45,
      ),
    ).toBeNull();
  });
});
