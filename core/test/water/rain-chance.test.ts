import fc from 'fast-check';
import { addDays } from '@candid-leaf/core/units';
import { type ForecastWeather, planWeek, startOf } from '@candid-leaf/core/water';
import { hedgedAmount, type RainAhead } from '../../src/water/rain-chance.js';
import { aCase, ASOF } from '../helpers.js';
import { seasonByTrust, type Trust } from './rain-seasons.js';

const due = { missingMm: 30, useMm: 5, limitMm: 32, tawMm: 80 };
const rain = (chancePct: number, mm = 25, inDays = 1): RainAhead => ({ inDays, mm, chancePct });

describe('rain that may come', () => {
  test('likely rain tomorrow: only enough until then; unlikely rain changes nothing', () => {
    expect(hedgedAmount(due, 30, [rain(80)])).toEqual({ mm: 8, rain: rain(80) });
    expect(hedgedAmount(due, 30, [rain(2)])).toBeNull();
    expect(hedgedAmount(due, 30, [rain(90, 2)])).toBeNull();
    // three days ahead it waits, four days ahead it does not
    const slow = { ...due, useMm: 1 };
    expect(hedgedAmount(slow, 30, [rain(90, 40, 3)])).not.toBeNull();
    expect(hedgedAmount(slow, 30, [rain(90, 40, 4)])).toBeNull();
    expect(hedgedAmount(due, 30, [])).toBeNull();
  });

  test('the plan says it in one line, and shows what is left to the rain', () => {
    const c = aCase({ place: { kind: 'ground', texture: 'loam', areaM2: 0.4 } });
    const day = (i: number, rainMm: number): ForecastWeather => ({
      ...{ date: addDays(ASOF, i), tMinC: 15, tMaxC: 26, rainMm: 0 },
      ...(rainMm > 0 ? { mayRainMm: rainMm, rainChancePct: 55 } : {}),
    });
    const first = (rainMm: number, more: object = {}) =>
      planWeek(
        c,
        { state: startOf({ fraction: 0.62, sd: 0.05 }), since: 4, ...more },
        [day(0, 0), day(1, rainMm), ...Array.from({ length: 5 }, (_, i) => day(i + 2, 0))],
        { method: 'by-need', how: 'drip', flowLPerH: 4 },
      ).days[0]!;
    const dry = first(0);
    const wet = first(30);
    expect(wet.why).toBe('rain is 55 % likely tomorrow: only enough until then');
    expect(wet.litres).toBeLessThan(0.6 * dry.litres);
    const left = wet.of!.parts.find((p) => p.what === 'rain')!;
    expect(left.litres).toBeLessThan(0);
    expect(wet.of!.parts.reduce((sum, p) => sum + p.litres, 0)).toBeCloseTo(wet.litres, 5);
    // a dry finger is not kept waiting
    expect(first(30, { felt: 'dry' }).litres).toBeCloseTo(dry.litres, 1);
    // under a roof no rain comes
    const roofed = aCase({ place: { kind: 'ground', texture: 'loam', areaM2: 0.4, cover: 'roof' } });
    const start = { state: startOf({ fraction: 0.62, sd: 0.05 }), since: 4 };
    const under = (rainMm: number) =>
      planWeek(roofed, start, [day(0, 0), day(1, rainMm)], { method: 'by-need', how: 'drip', flowLPerH: 4 }).days[0]!
        .litres;
    expect(under(30)).toBe(under(0));
  });

  test('never more than all, never less for a smaller chance, and never so little that it goes short before the rain', () => {
    fc.assert(
      fc.property(
        fc.record({
          missingMm: fc.double({ min: 0, max: 60, noNaN: true }),
          useMm: fc.double({ min: 0.5, max: 9, noNaN: true }),
          mm: fc.double({ min: 0, max: 60, noNaN: true }),
          inDays: fc.integer({ min: 1, max: 3 }),
          chance: fc.integer({ min: 0, max: 99 }),
        }),
        ({ missingMm, useMm, mm, inDays, chance }) => {
          const m = { missingMm, useMm, limitMm: 35, tawMm: 90 };
          const amount = (pct: number): number => hedgedAmount(m, missingMm, [rain(pct, mm, inDays)])?.mm ?? missingMm;
          expect(amount(chance)).toBeLessThanOrEqual(missingMm);
          expect(amount(chance)).toBeGreaterThanOrEqual(amount(99) - 1e-9);
          // the evening before the rain it is not past half of what is left beyond the limit
          const before = missingMm - amount(chance) + useMm * inDays;
          if (amount(chance) < missingMm) expect(before).toBeLessThan(Math.max(35, missingMm + useMm) + useMm * inDays);
        },
      ),
    );
  });

  const RUNS = process.env.SEASONS === 'all' ? 500 : 60;
  test(`over ${RUNS} seasons: less water than never waiting, fewer dry days than always waiting`, () => {
    const sum = (trust: Trust) =>
      Array.from({ length: RUNS }, (_, seed) => seasonByTrust(seed, trust)).reduce((a, b) => ({
        litres: a.litres + b.litres,
        daysShort: a.daysShort + b.daysShort,
      }));
    const [chance, always, never] = (['by-chance', 'always-wait', 'never-wait'] as const).map(sum);
    if (process.env.SEASONS === 'all') process.stderr.write(`${JSON.stringify({ chance, always, never })}\n`);
    expect(chance!.litres).toBeLessThan(0.98 * never!.litres);
    expect(chance!.daysShort).toBeLessThan(0.1 * always!.daysShort);
    expect(chance!.daysShort).toBeLessThanOrEqual(never!.daysShort + RUNS / 100);
  });
});
