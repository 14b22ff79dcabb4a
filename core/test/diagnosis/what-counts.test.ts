import { reportOn } from '@candid-leaf/core/assessment';
import { DISORDERS } from '@candid-leaf/core/diagnosis';
import { isSymptom, SIGN_CODES, signRow, type SignCode } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import fc from 'fast-check';
import { aCase, ASOF, everyNDays, notSeen, seen } from '../helpers.js';

/** What the gardener saw: a creature is there, its number decides, and the soil alone is no finding. */
const report = (...observations: ReturnType<typeof seen>[]) =>
  reportOn(
    aCase({ garden: { latitude: 38.6, longitude: -91 }, records: { watering: everyNDays(3, 8) }, observations }),
  );
const acts = (...observations: ReturnType<typeof seen>[]): string[] =>
  report(...observations).remedies.map((r) => r.remedy);

const CREATURES = DISORDERS.flatMap((d) => (d.seenAs ?? []).map((sign) => [sign, d.code] as const));
/** Mites under a lens are mites; which ones, the damage tells. */
const NAMED_FROM: Partial<Record<SignCode, number>> = { 'pest-mites': 0.7, 'pest-caterpillar': 0.5 };

test('every creature that can be recognised has a row', () => {
  const known = new Set(CREATURES.map(([sign]) => sign));
  const creatures = SIGN_CODES.filter((s) => s.startsWith('pest-') && signRow(s).kind === 'sign' && s !== 'pest-ants');
  expect(creatures.filter((sign) => !known.has(sign))).toEqual([]);
});
test.each(CREATURES)('%s alone is %s; its damage marked absent does not make it doubtful', (sign, disorder) => {
  const alone = report(seen(sign)).diagnosis[0]!;
  expect(alone.disorder).toBe(disorder);
  expect(alone.probability).toBeGreaterThanOrEqual(NAMED_FROM[sign] ?? 0.97);
  const row = DISORDERS.find((d) => d.code === disorder)!;
  const damage = row.signs
    .map(([s]) => s)
    .filter((s) => isSymptom(s) && s !== sign && !row.seenAs!.includes(s) && !s.startsWith('pest-'));
  const few = report(seen(sign), ...damage.map(notSeen)).diagnosis[0]!;
  expect(few.disorder).toBe(disorder);
  expect(few.probability).toBeGreaterThanOrEqual(Math.min(0.97, alone.probability - 0.01));
});

test('numbers choose between leaving, water jet and soap', () => {
  expect(acts(seen('pest-aphids', { affected: 2 }))).toEqual(['watch-only']);
  expect(acts(seen('pest-aphids', { severity: 'slight' }))).toEqual(['watch-only']);
  expect(acts(seen('pest-aphids'))).toEqual(['water-jet', 'soap-spray', 'sow-ally-flowers']);
  expect(acts(seen('pest-aphids', { affected: 40 }))).toEqual(['water-jet', 'soap-spray', 'sow-ally-flowers']);
  // hundreds: a jet alone leaves too many
  const many = seen('pest-aphids', { affected: 400 });
  expect(acts(many)).toEqual(['soap-spray', 'sow-ally-flowers']);
  expect(acts(many, notSeen('pest-ants'))).toEqual(['soap-spray', 'sow-ally-flowers']);
  // "3 of 8" counts plants
  expect(acts(seen('pest-aphids', { affected: 3, of: 8 }))).toContain('water-jet');
  // where wasps are at work there is no soap; the jet stays, and what they do is left to them, last
  const parasitised = report(many, seen('pest-aphid-mummies'));
  expect(parasitised.remedies.map((r) => r.remedy)).toEqual(['water-jet', 'sow-ally-flowers', 'leave-mummies']);
  expect(parasitised.withheld.find((w) => w.remedy === 'soap-spray')?.because).toMatch(/wasps/);
  // damage looked for in vain means few
  expect(acts(seen('pest-thrips'))).toContain('neem-spray');
  expect(acts(seen('pest-thrips'), notSeen('leaf-silver-streaks'))).toEqual(['sticky-trap']);
  expect(acts(seen('pest-whitefly', { affected: 3 }))).toEqual(['sticky-trap', 'sow-ally-flowers']);
  expect(acts(seen('pest-whitefly', { affected: 80 }))).toContain('soap-spray');
});

test('no spray for one caterpillar, nor for one that nobody counted, nor while wasp cocoons sit on it', () => {
  for (const sign of ['pest-hornworm', 'pest-caterpillar'] as const) {
    expect(acts(seen(sign))).toEqual(['hand-pick']);
    expect(acts(seen(sign, { affected: 1 }))).toEqual(['hand-pick']);
    expect(acts(seen(sign), notSeen('leaf-large-missing'), notSeen('leaf-ragged-holes'))).toEqual(['hand-pick']);
  }
  expect(acts(seen('pest-hornworm', { affected: 8 }))).toEqual(['hand-pick', 'bt-spray']);
  const cocoons = report(seen('pest-hornworm', { affected: 8 }), seen('pest-hornworm-cocoons'));
  expect(cocoons.remedies.map((r) => r.remedy)).toEqual(['hand-pick', 'leave-cocooned-hornworm']);
  expect(cocoons.withheld.find((w) => w.remedy === 'bt-spray')?.because).toMatch(/wasps/);
  expect(acts(seen('pest-hornworm'))).not.toContain('leave-cocooned-hornworm');
});

test('without a symptom there is no finding, whatever the records say', () => {
  const without = SIGN_CODES.filter((s) => !isSymptom(s) && (signRow(s).crop ?? 'tomato') === 'tomato');
  fc.assert(
    fc.property(fc.subarray(without), fc.integer({ min: 1, max: 9 }), (signs, days) => {
      const c = aCase({ records: { watering: everyNDays(days, 9) }, observations: signs.map((s) => seen(s)) });
      const r = reportOn(c);
      expect([r.diagnosis, r.remedies, r.unexplained]).toEqual([[], [], []]);
    }),
  );
});
test('what the soil needs is said of the soil, and the plant looks well', () => {
  expect(report(seen('soil-wet-deep')).headline).toBe(
    'The plant looks well; the soil is wet. Let it dry before you water again.',
  );
  expect(report(seen('soil-pooling')).headline).toMatch(/Drain it/);
  expect(report(seen('soil-white-crust')).headline).toMatch(/salt/);
  expect(report(seen('soil-dry-deep')).headline).toMatch(/dry/);
  expect(report(seen('soil-wet-deep')).nextChecks).toEqual([]);
  // a place on the plant asks what is there
  const place = report(seen('where-lower-leaves'), seen('pace-weeks'));
  expect(place.headline).toMatch(/^Not clear yet/);
  expect(place.nextChecks.length).toBeGreaterThan(0);
  expect(report().headline).toBe('No problems recorded.');
});

test('limp within ten days of planting out is its shock, by the date alone', () => {
  const limp = (days: number, ...more: ReturnType<typeof seen>[]) =>
    reportOn(
      aCase({
        plant: { transplantedOn: addDays(ASOF, -days), stage: 'establishing', heightM: 0.25 },
        observations: [seen('leaf-wilt'), ...more],
      }),
    ).diagnosis.find((d) => d.disorder === 'transplant-shock')?.probability ?? 0;
  expect(limp(10)).toBeGreaterThan(0.6);
  expect(limp(11)).toBeLessThan(limp(10) - 0.2);
  // who says that it began otherwise is believed
  expect(limp(10, notSeen('after-transplanting'))).toBeLessThan(0.2);
});

test('of two that are as good as certain the graver leads', () => {
  const both = reportOn(
    aCase({
      place: { kind: 'container', texture: 'potting-mix', volumeL: 12 },
      records: { watering: everyNDays(5, 9) },
      observations: [seen('fruit-blossom-end-dark'), seen('pest-aphids')],
    }),
  );
  const [first, second] = both.diagnosis;
  expect([first!.disorder, second!.disorder]).toEqual(['blossom-end-rot', 'aphids']);
  // though the aphids are the more certain
  expect(second!.probability).toBeGreaterThan(first!.probability);
  expect(both.headline).toMatch(/^Blossom end rot/);
});

test('the headline names what leads the list', () => {
  const r = reportOn(
    aCase({
      records: {
        weather: Array.from({ length: 40 }, (_, i) => ({
          date: addDays(ASOF, i - 39),
          tMinC: 11,
          tMaxC: 20,
          rainMm: 0,
        })),
        watering: everyNDays(3, 8),
      },
      observations: [seen('leaf-wilt-midday-only')],
    }),
  );
  // limp at midday in mild weather is not the heat: roots and vessels
  expect(r.diagnosis.map((d) => d.disorder)).not.toContain('heat-wilt');
  expect(r.nextChecks[0]!.check).toBe('inspect-roots');
  const named = r.diagnosis[0]!;
  expect(named.explains).toEqual(['leaf-wilt-midday-only']);
  expect(r.headline).toContain('root-knot');
});
