import { reportOn } from '@candid-leaf/core/assessment';
import { remedyRow } from '@candid-leaf/core/diagnosis';
import { addDays } from '@candid-leaf/core/units';
import { aCase, ASOF, everyNDays, seen } from '../helpers.js';

/** What is asked next, what is right whichever it is, and what the headline says of an act that must wait. */
type Change = Parameters<typeof aCase>[0];
const report = (change: Change, ...observations: ReturnType<typeof seen>[]) =>
  reportOn(aCase({ records: { watering: everyNDays(3, 8) }, ...change, observations }));
const asked = (change: Change, ...observations: ReturnType<typeof seen>[]): string[] =>
  report(change, ...observations).nextChecks.map((c) => c.check);

test.each([
  ['limp at noon in mild weather: the roots', {}, 'leaf-wilt-midday-only', 'inspect-roots'],
  ['a seedling cut at the soil: after dark', { plant: { stage: 'seedling' } }, 'stem-cut-at-soil', 'look-after-dark'],
  ['scorched on one side: the cut stem', {}, 'leaf-scorch-one-side', 'cut-lower-stem'],
  ['ants: where they go', {}, 'pest-ants', 'follow-ants'],
] as const)('the telling look comes first. %s', (_, change, sign, check) => {
  expect(asked(change, seen(sign))[0]).toBe(check);
});

test('what is almost certain asks nothing that changes nothing', () => {
  expect(asked({ plant: { stage: 'ripening' } }, seen('pest-hornworm'), seen('leaf-large-missing'))).toEqual([]);
  // unless a remedy waits for its proof
  const wet = Array.from({ length: 30 }, (_, i) => ({
    date: addDays(ASOF, i - 29),
    tMinC: 11,
    tMaxC: 18,
    rainMm: 6,
  }));
  const blight = report({ records: { weather: wet } }, seen('leaf-greasy-blotches'), seen('pace-days'));
  expect(blight.diagnosis[0]!.disorder).toBe('late-blight');
  expect(blight.nextChecks.map((c) => c.check)).toContain('look-under-leaves');
});

test('if the act that ought to come first must wait, the headline says so, with the reason', () => {
  const weather = Array.from({ length: 30 }, (_, i) => ({
    date: addDays(ASOF, i - 29),
    tMinC: 15,
    tMaxC: 24,
    rainMm: 9,
  }));
  const clay = { place: { texture: 'clay' as const }, records: { weather, watering: everyNDays(1, 6) } };
  const r = report(clay, seen('leaf-wilt'), seen('leaf-yellow-mushy'), seen('leaf-no-recovery-after-water'));
  expect(r.diagnosis[0]!.disorder).toBe('waterlogging');
  expect(r.heldBack).toMatchObject({ remedy: 'water-less' });
  expect(r.headline).toBe(
    `Too much water at the roots, almost certain. Not yet “${remedyRow('water-less').label}”: ${r.heldBack!.because}.`,
  );
  // and the finger that would end it is asked first
  expect(r.nextChecks[0]!.check).toBe('finger-test');
  // with a finger that found it wet nothing is held back
  const felt = report(clay, seen('leaf-wilt'), seen('leaf-yellow-mushy'), seen('soil-wet-deep'));
  expect(felt.heldBack).toBeNull();
  expect(felt.headline).not.toMatch(/Not yet/);
});

test('where two things ask for the same gentle act, it is advised though neither leads', () => {
  const tunnel = { place: { kind: 'tunnel-bed', cover: 'tunnel', vents: 'open' } } as Change;
  const r = report(tunnel, seen('leaf-sticky'));
  expect(r.diagnosis[0]!.probability).toBeLessThan(0.5);
  expect(r.headline).toMatch(/^Not clear yet. It could be: whitefly, aphids/);
  // whitefly or aphids: the jet is for both
  expect(r.remedies).toMatchObject([{ remedy: 'water-jet', either: true, general: true }]);
  // one vague sign of things that ask for different acts
  expect(report({}, seen('leaf-yellow-fast')).remedies).toEqual([]);
});

test('a problem of the whole plant never hides a fruit with its own sign', () => {
  for (const sign of [
    'fruit-gold-flecks',
    'fruit-cork-lines',
    'fruit-zipper-scar',
    'fruit-deep-hole',
    'fruit-gnawed-or-gone',
  ] as const) {
    const crop = sign === 'fruit-cork-lines' ? 'pepper' : 'tomato';
    const own = { plant: { crop, stage: 'ripening' as const, type: null } } as Change;
    const alone = report(own, seen(sign)).diagnosis.find((d) => d.explains.includes(sign))!;
    const beside = report(own, seen(sign), seen('leaf-wilt'), seen('soil-wet-deep'), seen('leaf-yellow-mushy'));
    expect(beside.diagnosis[0]!.disorder).toBe('waterlogging');
    const still = beside.diagnosis.find((d) => d.disorder === alone.disorder)!;
    expect(still.probability).toBeGreaterThan(alone.probability - 0.05);
  }
});
