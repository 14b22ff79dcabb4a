import { reportOn } from '@candid-leaf/core/assessment';
import type { DisorderCode, PlantCase } from '@candid-leaf/core/records';
import fc from 'fast-check';
import { factorOf } from '../../src/diagnosis/engine/seen-before.js';
import { aCase, everyNDays, seen } from '../helpers.js';

/** What this garden found before raises the odds: shrunken, bounded, with its reason, and never down. */
const YEARS = [2023, 2024, 2025];
type Found = DisorderCode[];
const bed = (...found: Found[]): Partial<PlantCase['place']> => ({
  history: found.map((problems, i) => ({ year: YEARS[i]!, family: 'nightshade' as const, problems })),
});
const chance = (disorder: DisorderCode, c: ReturnType<typeof aCase>) =>
  reportOn(c).diagnosis.find((d) => d.disorder === disorder);
// one vague sign: what it is must stay open
const spots = { observations: [seen('leaf-yellow-patches')], records: { watering: everyNDays(3, 8) } };

test('one season of three, and three of three; more seasons say more', () => {
  expect(factorOf(0, 3, 0.1)).toBe(1);
  expect(factorOf(1, 1, 0.1)).toBeCloseTo(2);
  expect(factorOf(1, 3, 0.1)).toBeCloseTo(1.8 / 11 / 0.1);
  expect(factorOf(3, 3, 0.1)).toBe(2.5);
});
test('it grows with what was found, shrinks with what was not, and never lowers the odds', () => {
  fc.assert(
    fc.property(fc.nat(20), fc.nat(20), fc.double({ min: 0.02, max: 0.5, noNaN: true }), (found, more, usual) => {
      const of = found + more;
      const f = factorOf(found, of, usual);
      expect(f).toBeGreaterThanOrEqual(1);
      expect(f).toBeLessThanOrEqual(2.5);
      expect(factorOf(found + 1, of + 1, usual)).toBeGreaterThanOrEqual(f);
      expect(factorOf(found, of + 1, usual)).toBeLessThanOrEqual(f);
    }),
  );
});

test('a bed with mites in two of three seasons: likelier, and the reason says so', () => {
  const none = chance('spider-mites', aCase({ ...spots, place: bed([], [], []) }))!;
  const often = chance('spider-mites', aCase({ ...spots, place: bed(['spider-mites'], [], ['spider-mites']) }))!;
  expect(often.probability).toBeGreaterThan(1.3 * none.probability);
  expect(often.evidence.find((e) => e.code === 'seen-in-this-bed')).toMatchObject({
    effect: 'for',
    text: 'found in this bed in 2 of 3 earlier seasons',
  });
  // the season itself is no earlier one, what is long past does not count, and a pot gets new soil
  const now = { history: [{ year: 2026, family: 'nightshade' as const, problems: ['spider-mites' as const] }] };
  expect(chance('spider-mites', aCase({ ...spots, place: now }))!.probability).toBeCloseTo(none.probability, 3);
  const longAgo = { history: [{ ...now.history[0]!, year: 2019 }] };
  expect(chance('spider-mites', aCase({ ...spots, place: longAgo }))!.probability).toBeCloseTo(none.probability, 3);
});

test('what survives in the soil keeps its own link: it is not counted twice', () => {
  const c = aCase({ ...spots, observations: [seen('leaf-target-spots')], place: bed(['early-blight']) });
  expect(chance('early-blight', c)!.evidence.map((e) => e.code)).not.toContain('seen-in-this-bed');
});

test('other plants of the variety: likelier, with the count', () => {
  const of = (plants: number) =>
    aCase({ ...spots, plant: { alike: { of: 6, found: plants ? [{ disorder: 'spider-mites', plants }] : [] } } });
  const [none, two] = [chance('spider-mites', of(0))!, chance('spider-mites', of(2))!];
  expect(two.probability).toBeGreaterThan(none.probability);
  expect(two.evidence.find((e) => e.code === 'seen-on-this-variety')!.text).toBe(
    'found on 2 of 6 other plants of this variety here',
  );
});
