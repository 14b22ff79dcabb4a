import {
  DROOPING,
  HIDDEN,
  isCircumstance,
  isOf,
  LEAF_SPOTS_AND_COLOURS,
  POSTURE,
  SIGN_CODES,
  signRow,
  SOIL_MOISTURE,
} from '../../src/records/index.js';

const codes = (pattern: RegExp) => SIGN_CODES.filter((code) => pattern.test(code)).sort();
const listed = (group: ReadonlySet<string>) => [...group].sort();

describe('groups of signs: a new sign falls into the group that its code says', () => {
  test('drooping leaves, and how leaves hang', () => {
    expect(listed(DROOPING)).toEqual(codes(/^leaf-wilt/));
    expect(listed(POSTURE)).toEqual(codes(/^leaf-(wilt|recovers|no-recovery)/));
  });
  test('what shows how wet the soil is', () => {
    expect(listed(SOIL_MOISTURE)).toEqual(codes(/^soil-.*-deep$|^pot-/));
  });
  test('signs under the soil, inside, or on undersides are hidden; none on the outside of a fruit', () => {
    for (const code of codes(/^(root|soil|pot)-|-inside$|-under$/))
      expect([code, HIDDEN.has(code)]).toEqual([code, true]);
    for (const code of codes(/^fruit-.*(cracks|burst|patch)/)) expect([code, HIDDEN.has(code)]).toEqual([code, false]);
  });
  test('spots and colours are on leaves', () => {
    for (const code of LEAF_SPOTS_AND_COLOURS) expect([code, isOf(code, 'leaf')]).toEqual([code, true]);
    for (const code of codes(/^leaf-.*(spots|mould|powder|yellow)/))
      expect([code, LEAF_SPOTS_AND_COLOURS.has(code)]).toEqual([code, true]);
  });
  test('a circumstance is a setting, except still air at the flowers', () => {
    for (const code of SIGN_CODES.filter(isCircumstance).filter((c) => c !== 'flower-still-air'))
      expect([code, signRow(code).kind]).toEqual([code, 'setting']);
  });
});
