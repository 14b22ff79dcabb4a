import { secondCropIn } from '../../src/planning/index.js';
import { clearingFor, KIT, KIT_CODES, kitFor } from '../../src/reports/index.js';

test('the kit (handbook: natural string to compost, ties reused, cages nested); blades and stakes only after a sick year', () => {
  expect(new Set(KIT_CODES).size).toBe(KIT.length);
  type Code = Parameters<typeof clearingFor>[0][number]['disorders'][number];
  const codes = (disorders: Code[], isPot = false) => kitFor(clearingFor([{ isPot, disorders }])).map((k) => k.code);
  expect(codes([])).toEqual(KIT_CODES.filter((c) => c !== 'blades' && c !== 'sick-pots'));
  expect(codes(['blossom-end-rot'])).not.toContain('blades');
  expect(codes(['vascular-wilt'])).toContain('blades');
  // the mix of a pot with wilt or nematodes is not spread anywhere
  expect(codes(['root-knot-nematodes'], true)).toContain('sick-pots');
  expect(codes(['root-knot-nematodes'], true)).not.toContain('pots');
  expect(codes(['early-blight'], true)).toContain('pots');
  expect(KIT.find((k) => k.code === 'string')!.how).toMatch(/Compost/);
});

test('what ailed a plant decides how it is cleared: bagged, buried, or composted', () => {
  const found = ['blossom-end-rot', 'vascular-wilt', 'early-blight', 'late-blight', 'mosaic-virus'] as const;
  expect(clearingFor([{ isPot: false, disorders: [...found, 'vascular-wilt'] }])).toEqual({
    bag: ['vascular-wilt', 'late-blight', 'mosaic-virus'],
    bury: ['early-blight'],
    binMix: [],
  });
  expect(clearingFor([{ isPot: true, disorders: ['bacterial-wilt'] }]).binMix).toEqual(['bacterial-wilt']);
});

test.each(['mosaic-virus', 'late-blight', 'root-knot-nematodes'] as const)(
  'no second crop in the year in which %s was found',
  (problem) => {
    const fits = (year: number) =>
      secondCropIn({
        place: { kind: 'ground', history: [{ year, family: 'nightshade', problems: [problem] }] },
        year: 2026,
        standing: 0,
        leaving: 0,
        shields: [],
      }).fits;
    expect([fits(2026), fits(2023)]).toEqual([false, true]);
  },
);
