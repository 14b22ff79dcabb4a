import { addDays, daysBetween, isDay } from '@candid-leaf/core/units';
import { meanCycle } from '../../src/climate/index.js';
import fc from 'fast-check';
import { bandInWords, bandExplained, yearDates, type DateKind, type DatesQuestion } from '../../src/planning/index.js';
import { METRIC_FORMAT } from '../../src/units/index.js';
import { frostFreeSeason, growingYear, type SeasonMode } from '../../src/season/index.js';

const NORTH = { latitude: 45.6, lastFrost: '04-18', firstFrost: '10-28' };
const SOUTH = { latitude: -37.8, lastFrost: '10-05', firstFrost: '05-10' };
const q = (more: Partial<DatesQuestion> = {}): DatesQuestion => ({
  garden: NORTH,
  mode: 'warm',
  season: growingYear(2026, NORTH.latitude),
  today: '2026-02-01',
  variety: { crop: 'tomato', habit: 'indeterminate', daysToMaturity: 75 },
  ...more,
});
const at = (d: DatesQuestion, what: DateKind) => {
  const b = yearDates(d).bands.find((x) => x.what === what);
  return b ? [b.from, b.to] : null;
};

test('a northern year by hand: frost on 18 April and 28 October, 75 days', () => {
  // planting out one to four weeks after the last frost; sowing 6 to 8 weeks before its first day (handbook)
  expect(at(q(), 'plant-out')).toEqual(['2026-04-25', '2026-05-16']);
  expect(at(q(), 'sow')).toEqual(['2026-02-28', '2026-03-14']);
  expect(at(q(), 'harden')).toEqual(['2026-04-11', '2026-04-24']);
  // 75 days, a tenth to each side: 8 days
  expect(at(q(), 'first-fruit')).toEqual(['2026-07-01', '2026-08-07']);
  // handbook: topping 40 to 60 days before first frost
  expect(at(q(), 'top')).toEqual(['2026-08-26', '2026-09-09']);
  // 28 October less 75 and 14 days
  expect(at(q(), 'last-planting')![1]).toBe('2026-07-31');
  // by its latitude alone the autumn is too cool for a second crop
  expect(at(q(), 'second-sowing')).toBeNull();
});

test('sown late, it goes out only after six weeks for a tomato, eight for a pepper', () => {
  expect(at(q({ sownOn: '2026-03-05' }), 'plant-out')).toEqual(['2026-04-25', '2026-05-16']);
  expect(at(q({ sownOn: '2026-05-10' }), 'plant-out')).toEqual(['2026-06-21', '2026-06-28']);
  expect(at(q({ sownOn: '2026-03-20', variety: { crop: 'pepper' } }), 'plant-out')![0]).toBe('2026-05-15');
});

const warmQ = (more: Partial<DatesQuestion>): DatesQuestion =>
  q({ garden: { latitude: 37.4, longitude: -6, elevationM: 10, lastFrost: '02-20', firstFrost: '12-04' }, ...more });

test('a second crop: raised in a month, out while autumn still has the warmth, and no third one', () => {
  const second = warmQ({ second: true, variety: { crop: 'tomato', habit: 'determinate', daysToMaturity: 65 } });
  // frost alone would say 16 September (4 December less 65 and 14 days); what warmth is left then would not ripen it
  expect(at(second, 'plant-out')).toEqual(['2026-08-11', '2026-08-21']);
  expect(at(second, 'sow')).toEqual(['2026-07-12', '2026-07-12']);
  const mean = meanCycle({ latitude: 37.4, longitude: -6, elevationM: 10 }, []);
  const warmthFrom = (out: string): number => {
    let sum = 0;
    // fruit hardly ripens below 13 °C
    for (let day = out; day < '2026-12-04' && mean(day) >= 13; day = addDays(day, 1))
      sum += Math.min(17, mean(day) - 6);
    return sum;
  };
  expect(warmthFrom('2026-08-21')).toBeGreaterThanOrEqual(65 * 17);
  expect(warmthFrom('2026-08-22')).toBeLessThan(65 * 17);
  expect([at(second, 'second-sowing'), at(second, 'last-planting')]).toEqual([null, null]);
  // where the packet does not say, the same fast bush kind is meant wherever a second crop is spoken of
  const unknown = { crop: 'tomato' as const, habit: 'determinate' as const };
  expect(at(warmQ({ second: true, variety: unknown }), 'plant-out')![1]).toBe('2026-08-21');
  expect(at(warmQ({ variety: unknown }), 'second-sowing')).toEqual(['2026-07-12', '2026-07-22']);
  // sown sooner it goes out as soon as it is raised
  expect(at({ ...second, sownOn: '2026-06-10' }, 'plant-out')).toEqual(['2026-07-10', '2026-08-21']);
  expect(yearDates(second).tooLong).toBeNull();
  // where the warmth of a whole summer is not enough, no packet fits
  const north = { latitude: 53.3, longitude: -6.3, elevationM: 10, lastFrost: '04-20', firstFrost: '11-05' };
  expect(yearDates({ ...second, garden: north }).tooLong).toEqual({ fits: 0 });
});

test('where no frost falls, planting keeps clear of the rains, of hot and of cold nights; what it can’t, it says', () => {
  const of = (latitude: number, longitude: number, elevationM = 10) =>
    frostFreeSeason({ latitude, longitude, elevationM }, []);
  const warmer = (by: number) =>
    Array.from({ length: 60 }, (_, i) => ({
      date: addDays('2025-06-01', i),
      tMinC: 23.8 + by,
      tMaxC: 33.8 + by,
      rainMm: 0,
    }));
  // Bangkok after its monsoon, Darwin after its wet season, Nairobi after the long rains
  expect(of(13.8, 100.5)).toEqual({ window: ['10-01', '11-28'], avoids: ['rains'], remains: [] });
  expect(of(-12.5, 130.8).window).toEqual(['04-01', '05-28']);
  expect(of(-1.3, 36.8, 1795).window).toEqual(['06-01', '07-28']);
  // Singapore has no dry month
  expect(of(1.35, 103.8)).toEqual({ window: null, avoids: [], remains: ['rains'] });
  // recorded nights move it: a hot year-round garden without a wet season plants when nights are coolest
  const hot = frostFreeSeason({ latitude: 20, longitude: 30 }, warmer(3));
  expect(hot.avoids).toEqual(['hot-nights']);
  const yearDatesOf = (latitude: number, longitude: number) =>
    yearDates(q({ garden: { latitude, longitude }, season: growingYear(2026, latitude) })).bands.find(
      (b) => b.what === 'plant-out',
    )!;
  expect(yearDatesOf(13.8, 100.5)).toMatchObject({ from: '2026-10-01', to: '2026-11-28' });
  expect(bandExplained(yearDatesOf(13.8, 100.5), METRIC_FORMAT)).toBe(
    'No frost falls here. Planted then, it flowers and ripens outside of the rains.',
  );
  expect(bandExplained(yearDatesOf(1.35, 103.8), METRIC_FORMAT)).toContain('plant at any time. It rains all year');
});

test('peppers are sown 8 to 10 weeks ahead, a week later out, and never topped', () => {
  const pepper = q({ variety: { crop: 'pepper', daysToMaturity: 80 } });
  expect(at(pepper, 'plant-out')).toEqual(['2026-05-02', '2026-05-23']);
  expect(at(pepper, 'sow')).toEqual(['2026-02-21', '2026-03-07']);
  expect([at(pepper, 'top'), at(pepper, 'second-sowing')]).toEqual([null, null]);
  expect(at(q({ variety: { crop: 'tomato', habit: 'determinate', daysToMaturity: 65 } }), 'top')).toBeNull();
});

test('south of the equator the year runs over New Year', () => {
  const south = q({ garden: SOUTH, season: growingYear(2026, SOUTH.latitude) });
  expect(at(south, 'plant-out')).toEqual(['2026-10-12', '2026-11-02']);
  expect(at(south, 'first-frost')).toEqual(['2027-04-30', '2027-05-20']);
  expect(at(south, 'first-fruit')).toEqual(['2026-12-18', '2027-01-24']);
});

test('without frost nothing is topped or hurried; in a mild winter people plant in autumn, frost or not', () => {
  const free = q({ garden: { latitude: 20 } });
  // after the rains of the northern tropics
  expect(at(free, 'plant-out')).toEqual(['2026-10-01', '2026-11-28']);
  expect(yearDates(free).bands.map((b) => b.what)).not.toContain('first-frost');
  expect(yearDates(free).tooLong).toBeNull();
  const winter = q({
    mode: 'mild-winter',
    season: growingYear(2026, 26, 'mild-winter'),
    garden: { ...NORTH, latitude: 26 },
  });
  expect(at(winter, 'plant-out')).toEqual(['2026-09-15', '2026-11-15']);
  expect(yearDates(winter).tooLong).toBeNull();
  const southWinter = q({
    mode: 'mild-winter',
    season: growingYear(2026, -20, 'mild-winter'),
    garden: { latitude: -20 },
  });
  expect(at(southWinter, 'plant-out')).toEqual(['2026-03-15', '2026-05-15']);
});

test('a variety that cannot ripen before frost is called too slow, with what would fit', () => {
  const short = q({ garden: { latitude: 62, lastFrost: '06-05', firstFrost: '08-25' } });
  // 12 June to 25 August, less two weeks
  expect(yearDates(short).tooLong).toEqual({ fits: 60 });
  expect(yearDates({ ...short, variety: { crop: 'tomato', daysToMaturity: 60 } }).tooLong).toBeNull();
  expect(at(short, 'last-planting')).toBeNull();
});

describe('once planted, warmth decides', () => {
  const days = (n: number, mean: number) =>
    Array.from({ length: n }, (_, i) => ({
      date: addDays('2026-05-06', i),
      tMinC: mean - 5,
      tMaxC: mean + 5,
      rainMm: 0,
    }));
  const planted = (mean: number, n = 40) =>
    q({ plantedOn: '2026-05-06', today: addDays('2026-05-06', n - 1), weather: days(n, mean) });
  const middle = (d: DatesQuestion) => {
    const [from, to] = at(d, 'first-fruit')!;
    return daysBetween('2026-05-06', from!) + daysBetween(from!, to!) / 2;
  };

  test('in usual warmth (23 °C) it takes the packet’s days; longer in cool weather, less in warm', () => {
    expect(yearDates(planted(23)).by).toBe('degree-days');
    expect(Math.abs(middle(planted(23)) - 75)).toBeLessThanOrEqual(1);
    expect(middle(planted(19))).toBeGreaterThan(middle(planted(23)) + 20);
    expect(middle(planted(25))).toBeLessThan(middle(planted(23)) - 5);
  });
  test('the band narrows as the day comes, and is the day itself once the warmth is there', () => {
    const width = (n: number) => {
      const [from, to] = at(planted(23, n), 'first-fruit')!;
      return daysBetween(from!, to!);
    };
    expect(width(70)).toBeLessThan(width(30));
    expect(at(planted(23, 90), 'first-fruit')).toEqual([addDays('2026-05-06', 74), addDays('2026-05-06', 74)]);
  });
  test('what was seen of the plants counts more than the warmth they had', () => {
    // 40 of 75 days are past by the warmth; at 80 % a fifth of 75 days is left
    expect(middle(planted(23)) - middle({ ...planted(23), progress: 0.8 })).toBeCloseTo(0.8 * 75 - 40, 0);
    const [ripe] = at({ ...planted(23), progress: 1.04 }, 'first-fruit')!;
    expect(daysBetween(ripe!, planted(23).today)).toBe(3);
  });
  test('completed steps are shown as done', () => {
    const out = yearDates(planted(23)).bands.find((b) => b.what === 'plant-out')!;
    expect(bandInWords(out, METRIC_FORMAT)).toBe('done on 6 May');
    expect(at({ ...planted(23), pickedOn: '2026-07-11' }, 'first-fruit')).toEqual(['2026-07-11', '2026-07-11']);
    expect(
      bandInWords(
        yearDates(warmQ({})).bands.find((b) => b.what === 'second-sowing')!,
        METRIC_FORMAT,
      ),
    ).toBe('by 22 July');
  });
});

describe('each date opens to how it was computed', () => {
  const how = (d: DatesQuestion, what: DateKind, format = METRIC_FORMAT) =>
    bandExplained(
      yearDates(d).bands.find((b) => b.what === what)!,
      format,
    );
  test.each<[DateKind, string]>([
    ['sow', '42 to 56 days before planting out, 25 April'],
    ['pot-on', '21 to 28 days after sowing, 28 February to 14 March'],
    ['harden', '1 to 14 days before planting out, 25 April'],
    ['plant-out', '7 to 28 days after the last frost, 18 April'],
    ['mulch', '14 to 28 days after planting out, 25 April to 16 May'],
    ['first-fruit', '67 to 83 days after planting out, 25 April to 16 May'],
    ['last-frost', '18 April by the garden’s settings, 10 days either side'],
    ['last-planting', '89 to 96 days before the first frost, 28 October'],
    ['top', 'The last useful flower opens about 2 September'],
  ])('%s: %s', (what, told) => {
    expect(how(q(), what)).toContain(`${told}: `);
  });
  test('late seedlings by their sowing, a second crop by the warmth, and a frost-free garden by the time of year', () => {
    expect(how(q({ sownOn: '2026-05-10' }), 'plant-out')).toBe('Not earlier than 42 days after sowing, 10 May.');
    expect(how(q({ sownOn: '2026-03-05' }), 'plant-out')).toContain('after the last frost');
    expect(how(warmQ({ second: true }), 'plant-out')).toContain(
      'By 11 August: plants set out later find too little warmth',
    );
    expect(how(warmQ({}), 'second-sowing')).toContain('22 July, or up to ten days before: a month to raise it');
    expect(how(q({ garden: { latitude: 45 } }), 'plant-out')).toContain('no frost date for this garden');
    expect(how(q({ plantedOn: '2026-05-06' }), 'plant-out')).toBe('Recorded: 6 May.');
  });
  test('by warmth: collected and per day, as shares, so that no unit is needed', () => {
    const weather = Array.from({ length: 40 }, (_, i) => ({
      date: addDays('2026-05-06', i),
      tMinC: 18,
      tMaxC: 28,
      rainMm: 0,
    }));
    // 40 days of 17 °C·d are 40 of the 75 days at 17 that the variety needs
    const told = how(q({ plantedOn: '2026-05-06', today: '2026-06-14', weather }), 'first-fruit');
    expect(told).toMatch(/^It has had 53 % of the warmth above 6\s°C .*recently a day adds 1 %\.$/);
  });
});

test('for any garden and variety: real days, none ends before it begins, sow before harden before plant out before fruit', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -60, max: 60 }),
      fc.integer({ min: 1990, max: 2100 }),
      fc.constantFrom<SeasonMode>('warm', 'mild-winter'),
      fc.boolean(),
      fc.constantFrom('tomato' as const, 'pepper' as const),
      fc.integer({ min: 35, max: 180 }),
      fc.record({ second: fc.boolean(), sown: fc.option(fc.integer({ min: 0, max: 200 })) }),
      (latitude, year, mode, frost, crop, daysToMaturity, { second, sown }) => {
        const garden = {
          ...(latitude < 0 ? SOUTH : NORTH),
          latitude,
          ...(frost ? {} : { lastFrost: null, firstFrost: null }),
        };
        const season = growingYear(year, latitude, mode);
        const { bands } = yearDates(
          q({
            garden,
            mode,
            season,
            second,
            sownOn: sown === null ? null : addDays(season.from, sown),
            today: `${year}-02-29`.replace('02-29', '02-28'),
            variety: { crop, daysToMaturity },
          }),
        );
        for (const b of bands) {
          expect([isDay(b.from), isDay(b.to), b.from <= b.to]).toEqual([true, true, true]);
          // what is told of how it came about gives the days that are told
          if (b.of.on && !b.done)
            expect([addDays(b.of.on[0], b.of.days[0]), addDays(b.of.on[1], b.of.days[1])]).toEqual([b.from, b.to]);
        }
        const start = (what: DateKind) => bands.find((b) => b.what === what)!.from;
        expect(start('sow') < start('harden') && start('harden') < start('plant-out')).toBe(true);
        expect(start('plant-out') < start('first-fruit')).toBe(true);
      },
    ),
    { numRuns: 200 },
  );
});
