import { assessPlace } from '@candid-leaf/core/assessment';
import {
  habitInWords,
  habitOf,
  preventedInWords,
  type Prevention,
  whatWouldHavePrevented,
} from '@candid-leaf/core/prevented';
import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import fc from 'fast-check';
import { aCase, ASOF, everyNDays, seen } from '../helpers.js';

/** The same weeks run again with one thing changed, and read through the network again. */
const RULES = { method: 'by-need' } as const;
function prevented(c: ReturnType<typeof aCase>): Prevention[] {
  const own = assessPlace('p', RULES, [{ id: 'a', case: c }], [], METRIC_FORMAT).plants.get('a')!;
  return whatWouldHavePrevented(own.context, own.report.diagnosis[0], { rules: RULES, plants: 1 });
}
const DAYS = 50;
const weather = (change: (i: number) => object = () => ({})) =>
  Array.from({ length: DAYS }, (_, i) => ({
    date: addDays(ASOF, i + 1 - DAYS),
    tMinC: 17,
    tMaxC: i > 25 ? 34 : 28,
    rainMm: 0,
    ...change(i),
  }));
const darkEnd = { observations: [seen('fruit-blossom-end-dark')] };
const dryPot = { ...darkEnd, place: { kind: 'container', volumeL: 10, texture: 'potting-mix' } } as const;
const byChange = (list: Prevention[], change: string) => list.find((p) => p.change === change);

test('a pot that swung between dry and full: watering by the plan would have lowered the risk', () => {
  const c = aCase({ ...dryPot, records: { weather: weather(), watering: everyNDays(4, 3, DAYS) } });
  const best = byChange(prevented(c), 'water-by-plan');
  expect(best).toMatchObject({ change: 'water-by-plan', disorder: 'blossom-end-rot', size: 1 });
  expect(best!.riskWith).toBeLessThan(best!.risk - 0.2);
  expect(best!.low).toBeLessThanOrEqual(best!.riskWith);
  expect(best!.high).toBeGreaterThanOrEqual(best!.riskWith);
  // the second line: it never runs dry as the real one did
  expect(Math.min(...best!.left!.map((d) => d.fractionAvailable))).toBeGreaterThan(0.2);
  expect(preventedInWords(best!, METRIC_FORMAT)).toMatchObject({
    what: expect.stringMatching(/^With [\d.]+\sL daily from \d+\s\w+$/),
    risk: 'the risk of blossom end rot would have been',
  });
});

test('watered as the plan would, more water prevents nothing', () => {
  const bed = aCase({ ...darkEnd, records: { weather: weather(), watering: everyNDays(2, 4, DAYS) } });
  expect(byChange(prevented(bed), 'water-by-plan')).toBeUndefined();
});

test('where the water is not known, no other water is proposed', () => {
  const silent = aCase({ ...dryPot, records: { weather: weather(), watering: [] } });
  expect(prevented(silent).map((p) => p.change)).not.toContain('water-by-plan');
  expect(prevented(silent).map((p) => p.change)).not.toContain('mulch');
});

test('fruit burned after a hard cut in heat: leave the leaves, or shade it', () => {
  const cut = addDays(ASOF, -7);
  const c = aCase({
    observations: [seen('fruit-pale-papery-patch'), seen('fruit-patch-sun-side')],
    plant: { stage: 'ripening' },
    records: { weather: weather(), watering: everyNDays(3, 6, DAYS), pruning: [{ date: cut, leafSharePct: 45 }] },
  });
  const list = prevented(c);
  expect(list[0]).toMatchObject({ change: 'not-cut', from: cut, left: null });
  expect(byChange(list, 'shade-cloth')!.riskWith).toBeLessThan(list[0]!.risk);
  // shaded all along: neither the cloth nor the heat is left to change
  const shaded = { ...c, place: { ...c.place, shade: [{ from: addDays(ASOF, -60), blockPct: 40 }] } };
  expect(byChange(prevented(shaded), 'shade-cloth')).toBeUndefined();
});

test('too much feed: little and often would have done', () => {
  const c = aCase({
    observations: [seen('leaf-dark-lush'), seen('flower-few')],
    records: {
      weather: weather(() => ({ tMaxC: 26 })),
      watering: everyNDays(2, 4, DAYS),
      feeding: [{ date: addDays(ASOF, -9), n: 20, p2o5: 5, k2o: 5, grams: 60 }],
    },
  });
  expect(byChange(prevented(c), 'fed-evenly')).toMatchObject({ size: 28 });
});

test('planted into cold nights: two weeks later would have been warm', () => {
  const planted = addDays(ASOF, -40);
  const c = aCase({
    observations: [seen('fruit-scarred-misshapen')],
    plant: { transplantedOn: planted, stage: 'fruiting' },
    records: { weather: weather((i) => (i < 20 ? { tMinC: 7, tMaxC: 18 } : {})), watering: everyNDays(3, 6, DAYS) },
  });
  const later = byChange(prevented(c), 'planted-later');
  expect(later).toMatchObject({ from: addDays(planted, 14) });
});

test('nothing is proposed without a clear finding or without a cause', () => {
  const doubtful = aCase({ observations: [seen('leaf-yellow-patches')] });
  expect(prevented(doubtful)).toEqual([]);
  expect(prevented(aCase())).toEqual([]);
});

test('however the weeks went: few changes, each for the better, within its own bounds', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 0, max: 60 }),
      fc.boolean(),
      (every, litres, share, pot) => {
        const list = prevented(
          aCase({
            ...(pot ? dryPot : darkEnd),
            records: {
              weather: weather((i) => ({ rainMm: i % 7 === 0 ? 6 : 0 })),
              watering: everyNDays(every, litres, DAYS),
              pruning: [{ date: addDays(ASOF, -5), leafSharePct: share }],
            },
          }),
        );
        expect(list.length).toBeLessThanOrEqual(3);
        for (const p of list) {
          expect(p.riskWith).toBeLessThan(p.risk);
          expect(p.low).toBeLessThanOrEqual(p.riskWith + 0.005);
          expect(p.high).toBeGreaterThanOrEqual(p.riskWith - 0.005);
          expect(p.from <= ASOF).toBe(true);
          for (const d of p.left ?? []) {
            expect(d.fractionAvailable).toBeGreaterThanOrEqual(0);
            expect(d.fractionAvailable).toBeLessThanOrEqual(1);
          }
        }
      },
    ),
    { numRuns: 25 },
  );
});

test('a season names the habit that would have saved most fruit, over all its findings', () => {
  const by = (change: Prevention['change'], risk: number, riskWith: number) => ({ change, risk, riskWith });
  const found = [
    { disorder: 'blossom-end-rot' as const, prevented: [by('water-by-plan', 0.7, 0.2), by('mulch', 0.7, 0.5)] },
    { disorder: 'ring-cracking' as const, prevented: [by('water-by-plan', 0.4, 0.1)] },
    { disorder: 'sunscald' as const, prevented: [by('not-cut', 0.6, 0.1)] },
    // leaves are no fruit
    { disorder: 'early-blight' as const, prevented: [by('rain-cover', 0.9, 0)] },
  ];
  const habit = habitOf(found)!;
  expect(habit).toEqual({ change: 'water-by-plan', findings: 2, risk: 0.55, riskWith: 0.15 });
  expect(habitInWords(habit)).toBe(
    'The habit that would have saved most fruit: water when the plan says. It would have lowered the risk of 2 problems from 55 % to 15 % on average.',
  );
  expect(habitOf(found.slice(3))).toBeNull();
  expect(habitOf([])).toBeNull();
});
