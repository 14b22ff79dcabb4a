import fc from 'fast-check';
import { DATE_WORDS, type Band } from '@candid-leaf/core/planning';
import { STARTERS } from '@candid-leaf/core/products';
import { addDays, daysBetween, formatterFor, METRIC_FORMAT } from '@candid-leaf/core/units';
import { nextSeed } from '../src/features/practice/next-seed';
import { causeLabel, plantInWords, showedInWords, worthInWords } from '../src/features/practice/words';
import { labelSides, markOf } from '../src/features/season/lanes';
import { cautionsOnce } from '../src/lib/cautions';
import { townInWords } from '../src/features/settings/start/town-field';
import { amountOf, labelInWords } from '../src/features/shed/product-words';
import { benchInputOf } from '../src/features/water/bench/bench-input';

test('season: no label of the year’s chart runs into a mark, into another label, across today or beyond an end', () => {
  const [from, to, today] = ['2026-01-01', '2026-12-31', '2026-07-18'] as const;
  const kinds = (Object.keys(DATE_WORDS) as Band['what'][]).filter((what) => markOf({ what }) !== null);
  const bands = fc
    .array(fc.tuple(fc.constantFrom(...kinds), fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 60 })), {
      maxLength: 9,
    })
    .map((list) =>
      list.map(([what, at, days]) => ({ what, from: addDays(from, at), to: addDays(from, at + days) }) as Band),
    );
  const day = (d: string) => daysBetween(from, d);
  fc.assert(
    fc.property(bands, (list) => {
      const labels = labelSides(list, from, to, today).flatMap((side, i): [number, number][] => {
        const { what, from: a, to: z } = list[i]!;
        const long = 2 * DATE_WORDS[what].length;
        return side === null
          ? []
          : [side === 'right' ? [day(z) + 5, day(z) + 5 + long] : [day(a) - 5 - long, day(a) - 5]];
      });
      const apart = ([a, z]: [number, number], [x, y]: [number, number]) => z <= x || a >= y;
      labels.forEach((label, i) => {
        expect(label[0] > 0 && label[1] < 365 && (label[1] < day(today) || label[0] > day(today))).toBe(true);
        for (const other of labels.slice(i + 1)) expect(apart(label, other)).toBe(true);
        for (const b of list) expect(apart(label, [day(b.from), day(b.to)])).toBe(true);
      });
    }),
  );
  // a mark alone has its words beside it; near the end they flip to the left
  const alone = (at: string) => labelSides([{ what: 'top', from: at, to: at } as Band], from, to, today);
  expect([alone('2026-03-01'), alone('2026-12-20'), alone('2026-07-10')]).toEqual([['right'], ['left'], ['left']]);
});

describe('shed', () => {
  const product = (more: object) => ({ ...STARTERS[0]!, ...more });
  test('a label in one line: nutrients, dose, interval; only the wait of sprays', () => {
    const feed = product({ n: 4, p2o5: 3, k2o: 8, form: 'liquid', dose: { per: 'litre', amount: 4.4 }, everyDays: 14 });
    expect(labelInWords(feed, METRIC_FORMAT)).toBe('4-3-8 · 4.4 mL a litre of water, at most every 14 days');
    // 3.785 litres to the US gallon
    const us = formatterFor({ ...METRIC_FORMAT.units, volume: 'gal-us' });
    expect(labelInWords(feed, us).replaceAll('\u00a0', ' ')).toMatch(
      /^4-3-8 · 17 mL \(.*\) a US gallon of water, at most/,
    );
    const spray = { kind: 'spray', n: 0, p2o5: 0, k2o: 0, dose: null } as const;
    expect([0, 1, 3].map((harvestDays) => labelInWords(product({ ...spray, harvestDays }), METRIC_FORMAT))).toEqual([
      'pick the same day',
      'pick after 1 day',
      'pick after 3 days',
    ]);
    expect(
      labelInWords(product({ kind: 'feed', harvestDays: 3, dose: null, n: 0, p2o5: 0, k2o: 0 }), METRIC_FORMAT),
    ).toBe('');
  });
  test('poured amounts are in millilitres, weighed ones in the garden’s own mass', () => {
    const us = formatterFor({ temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' });
    expect(amountOf(product({ form: 'liquid' }), 20, METRIC_FORMAT)).toMatch(/20.mL/);
    expect(amountOf(product({ form: 'dry', gPerMl: null }), 50, METRIC_FORMAT)).toMatch(/50.g/);
    expect(amountOf(product({ form: 'dry', gPerMl: null }), 56.7, us)).toContain('oz');
  });
});

describe('practice', () => {
  test('the next plant is the first one not yet answered', () => {
    expect(nextSeed([])).toBe(1);
    expect(nextSeed([{ seed: 1 }, { seed: 2 }, { seed: 4 }])).toBe(3);
    expect(nextSeed([{ seed: 1 }, { seed: 2 }, { seed: 4 }], 3)).toBe(5);
  });
  test('words: causes without a full stop, nothing seen, the value of a check, the plant', () => {
    expect(causeLabel(null)).toBe('Nothing in the records explains it');
    expect(causeLabel('hot-days')).toMatch(/^[A-Z].*[^.]$/);
    expect(showedInWords([])).toBe('None of these.');
    expect([0.5, 0.1, 0, -0.1].map(worthInWords)).toEqual([
      'showed a lot',
      'showed a little',
      'showed nothing',
      'made it less clear',
    ]);
    const plant = (habit: string | null) =>
      plantInWords({ plant: { habit, type: 'paste', crop: 'tomato' }, place: { kind: 'raised-bed' } } as never);
    expect(plant('indeterminate')).toBe('An indeterminate paste tomato in a raised bed');
    expect(plant(null)).toBe('A paste tomato in a raised bed');
  });
});

test('a town is named with its region, unless both have one name', () => {
  const town = (name: string, region: string | null, country: string) =>
    townInWords({ name, region, country, latitude: 0, longitude: 0, timeZone: 'UTC' });
  expect(town('Winchester', 'Ohio', 'US')).toBe('Winchester, Ohio, United States');
  expect(town('Zürich', 'Zurich', 'CH')).toBe('Zürich, Switzerland');
  expect(town('Alba', null, 'IT')).toBe('Alba, Italy');
});

test('the comparison of watering methods gets measured days since planting, 200 at most, and no area for a pot', () => {
  const day = (i: number) => addDays('2026-01-01', i);
  const view = (kind: string, transplantedOn: string | null) =>
    ({
      garden: { latitude: 45, longitude: 9, elevationM: 100, today: day(300) },
      place: { kind },
      plant: { transplantedOn },
      report: { water: { daily: [{ groundM2: 0.3 }] } },
      weather: Array.from({ length: 320 }, (_, i) => ({ day: day(i), kind: i > 300 ? 'forecast' : 'observed' })),
      records: [
        { type: 'watering', data: { date: day(9) } },
        { type: 'note', data: { date: day(8) } },
        { type: 'watering', data: { date: day(7) } },
      ],
    }) as never;
  const asked = { setUps: [], weather: 'recorded', years: 1 } as never;
  const bed = benchInputOf(view('ground', day(250)), asked);
  expect([bed.recorded[0]!.date, bed.recorded.at(-1)!.date]).toEqual([day(250), day(300)]);
  expect(bed.plant.place.areaM2).toBe(0.3);
  expect(bed.plant.watering!.map((w) => w.date)).toEqual([day(7), day(9)]);
  const pot = benchInputOf(view('container', null), asked);
  expect(pot.recorded).toHaveLength(200);
  expect(pot.plant.place.areaM2).toBeNull();
});

test('precautions of a list: each in full once, where it first applies; after that the act it was shown with', () => {
  expect(
    cautionsOnce([
      { label: 'Lime', cautions: ['dust', 'gloves'] },
      { label: 'Mulch', cautions: [] },
      { label: 'Sulfur', cautions: ['gloves', 'eyes', 'dust'] },
      { label: 'Cut', cautions: ['eyes'] },
    ]),
  ).toEqual([
    { inFull: ['dust', 'gloves'], asFor: [] },
    { inFull: [], asFor: [] },
    { inFull: ['eyes'], asFor: ['Lime'] },
    { inFull: [], asFor: ['Sulfur'] },
  ]);
});
