import fc from 'fast-check';
import type { PlantCase } from '../../src/records/index.js';
import { METRIC_FORMAT, formatterFor, METRIC } from '../../src/units/index.js';
import {
  drierInWords,
  planWeek,
  rhythmInWords,
  seasonSpan,
  startOf,
  whatIf,
  type WhatIf,
  whatIfInWords,
} from '../../src/water/index.js';
import { aCase, ASOF } from '../helpers.js';

const pot = (volumeL: number) => ({ kind: 'container' as const, texture: 'potting-mix' as const, volumeL });
const bed = { kind: 'ground', texture: 'loam', areaM2: 0.25 } as const;
const RULES = { method: 'by-need', irrigation: null, flowLPerH: null } as const;
const tried = (place: PlantCase['place']) => whatIf(aCase({ place }, 40), RULES);

describe('the last four weeks again with one thing changed', () => {
  it('a pot of twice the size is watered less often, an unmulched bed less often under mulch', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 25 }), (volumeL) => {
        const { now, whatIf: changes } = tried(pot(volumeL));
        expect(changes.map((c) => [c.what, c.size])).toEqual([['bigger-pot', volumeL * 2]]);
        expect(changes[0]!.daysBetween).toBeGreaterThanOrEqual(now!.daysBetween);
      }),
      { numRuns: 12 },
    );
    const { now, whatIf: changes } = tried(bed);
    expect(changes.map((c) => c.what)).toEqual(['mulch']);
    expect(changes[0]!.daysBetween).toBeGreaterThanOrEqual(now!.daysBetween);
  });
  it('mulch never costs water, wherever the four weeks end (what is missing at their end counts)', () => {
    for (const areaM2 of [0.16, 0.2, 0.25, 0.3, 0.4]) {
      const { now, whatIf: changes } = tried({ ...bed, areaM2 });
      expect(changes[0]!.litresPerWeek).toBeLessThanOrEqual(now!.litresPerWeek);
    }
  });
  it('offers nothing without weather, and no mulch if there is some', () => {
    expect(whatIf(aCase({ place: bed, records: { weather: [] } }), RULES)).toEqual({
      now: null,
      whatIf: [],
      drier: null,
    });
    expect(tried({ ...bed, mulch: [{ from: '2026-05-01', depthMm: 50 }] }).whatIf).toEqual([]);
  });
});

describe('in words', () => {
  test.each([
    [0.9, 'more than once a day'],
    [1, 'every day'],
    [1.3, '5 times a week'],
    [3.4, '2 times a week'],
    [3.5, 'every 4 days'],
    [9.3, 'every 9 days'],
  ])('every %f days: %s', (days, words) => {
    expect(rhythmInWords(days)).toBe(words);
  });
  const now = { litresPerWeek: 10, daysBetween: 3, evenness: 0.8 };
  const change = (more: Partial<WhatIf>): WhatIf => ({ ...now, what: 'mulch', size: 60, ...more });
  const told = (more: Partial<WhatIf>, f = METRIC_FORMAT) => whatIfInWords(now, change(more), f).replace(/\s/g, ' ');
  it('says what changes, or that nothing does', () => {
    expect(told({ daysBetween: 5, litresPerWeek: 7 })).toBe(
      'With 6 cm of mulch: watered every 5 days instead of 2 times a week, 7 L a week instead of 10 L.',
    );
    expect(told({ what: 'bigger-pot', size: 28, daysBetween: 5, litresPerWeek: 10.4 })).toBe(
      'In 28 L: watered every 5 days instead of 2 times a week, as much water as now.',
    );
    expect(told({ litresPerWeek: 9 })).toBe(
      'With 6 cm of mulch: watered 2 times a week, as now, 9 L a week instead of 10 L.',
    );
    expect(told({ litresPerWeek: 9.7, daysBetween: 3.1 })).toBe('With 6 cm of mulch watering would stay as it is.');
    expect(told({ daysBetween: 5 }, formatterFor({ ...METRIC, length: 'in' }))).toContain('With 2.4 in of mulch');
  });
});

test('a watering says whether the easy water would be used up, or is', () => {
  const why = (fraction: number) =>
    planWeek(
      aCase({ place: pot(14) }),
      { state: startOf({ fraction, sd: 0.1 }), since: 2 },
      [{ date: ASOF, tMinC: 18, tMaxC: 34, rainMm: 0 }],
      { method: 'by-need', how: 'base', flowLPerH: null },
    ).days[0]!.why;
  expect(why(0.85)).toBe('it would soon go short');
  expect(why(0.3)).toBe('it will soon go short');
});

test('a compared season ends with the first frost, south of the equator too', () => {
  const north = { latitude: 45, lastFrost: '04-20', firstFrost: '10-01' } as PlantCase['garden'];
  expect(seasonSpan(north, 2026)).toEqual({ from: '2026-04-20', days: 164 });
  // planted on 1 November, the first frost comes on 10 April
  const south = { latitude: -37, lastFrost: '10-05', firstFrost: '04-10' } as PlantCase['garden'];
  expect(seasonSpan(south, 2026, '2026-11-01')).toEqual({ from: '2026-11-01', days: 160 });
  expect(seasonSpan({ ...south, firstFrost: '03-15' }, 2026, '2026-11-01').days).toBe(134);
});

test('drier soil while fruit colours costs some fruit and saves some water; bone dry it never gets', () => {
  for (const crop of ['tomato', 'pepper'] as const) {
    const { drier } = whatIf(aCase({ place: bed, plant: { crop } }, 40), RULES);
    expect(drier!.lossPct).toBeGreaterThan(0);
    // never beyond 70 % used: a harvest is not lost
    expect(drier!.lossPct).toBeLessThan(25);
    expect(drier!.savedLPerWeek).toBeGreaterThanOrEqual(0);
  }
});

test('its cost in words', () => {
  expect(drierInWords({ lossPct: 0.4, savedLPerWeek: 0 }, METRIC_FORMAT)).toMatch(/hardly any fruit/);
  expect(drierInWords({ lossPct: 6.4, savedLPerWeek: 0 }, METRIC_FORMAT)).toBe(
    'Over the last four weeks: about 6 % less fruit.',
  );
});
