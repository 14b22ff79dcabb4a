import { baggedFor, KIT, KIT_CODES, kitFor } from '../../src/reports/index.js';

test('the kit (handbook: natural string to compost, ties reused, cages nested); blades and stakes only after a sick year', () => {
  expect(new Set(KIT_CODES).size).toBe(KIT.length);
  const codes = (disorders: Parameters<typeof kitFor>[0]) => kitFor(disorders).map((k) => k.code);
  expect(codes([])).toEqual(KIT_CODES.filter((c) => c !== 'blades'));
  expect(codes(['blossom-end-rot'])).not.toContain('blades');
  expect(codes(['vascular-wilt'])).toContain('blades');
  expect(KIT.find((k) => k.code === 'string')!.how).toMatch(/Compost/);
});

test('only what survives in the soil is bagged', () => {
  expect(baggedFor(['blossom-end-rot', 'vascular-wilt', 'early-blight'])).toEqual(['vascular-wilt']);
});
