import {
  varietyFaults,
  daysToMaturityOf,
  LETTERS,
  readLetters,
  shieldsFrom,
  STARTER_VARIETIES,
} from '../../src/varieties/index.js';
import { Variety } from '../../src/varieties/variety.js';
import { checked } from '../../src/records/checked.js';

test.each([
  ['VFN', ['vascular-wilt', 'root-knot-nematodes']],
  ['V F1 F2 N T', ['vascular-wilt', 'root-knot-nematodes', 'mosaic-virus']],
  ['HR: ToMV, Fol:0-2, TSWV', ['mosaic-virus', 'spotted-wilt-virus']],
  // verticillium alone does not stop fusarium
  ['V', []],
  ['HR: Va, Fol:0-2', ['vascular-wilt']],
  // stem canker is no early blight, grey leaf spot no septoria, and a new virus none of the old mosaics
  ['VFFNTA', ['vascular-wilt', 'root-knot-nematodes', 'mosaic-virus']],
  ['AAL, S, St, ToBRFV', []],
  ['EB, LB', ['early-blight', 'late-blight']],
  // an intermediate resistance does not hold in a bad year
  ['HR: ToMV / IR: LB, TYLCV', ['mosaic-virus']],
  ['Ph', ['late-blight']],
  ['', []],
])('letters of a tomato packet, "%s"', (letters, disorders) => {
  expect([...shieldsFrom(letters, 'tomato')].sort()).toEqual([...disorders].sort());
});

test('an unknown letter is kept and shown, and nothing is guessed from it', () => {
  expect(readLetters('VF XYZ').unknown).toEqual(['XYZ']);
  expect(shieldsFrom('QQ', 'tomato')).toEqual([]);
  // a tomato’s blight is no pepper’s
  expect(shieldsFrom('LB, TMV', 'pepper')).toEqual(['mosaic-virus']);
  // nor is its race of a wilt that both crops know
  expect([shieldsFrom('V Fol', 'pepper'), shieldsFrom('V Fol', 'tomato')]).toEqual([[], ['vascular-wilt']]);
  // peppers' own letters
  expect(shieldsFrom('HR: Tm:0-2, L4, X1-3, PVY', 'pepper')).toEqual(['mosaic-virus', 'bacterial-leaf-spot']);
  expect(readLetters('HR: ToMV IR: LB').known.map((k) => k.level)).toEqual(['high', 'intermediate']);
  expect(new Set(LETTERS.map((r) => r.letters.toLowerCase())).size).toBe(LETTERS.length);
});

test('every generic start is valid, and none contradicts itself', () => {
  for (const { code: _, ...c } of STARTER_VARIETIES) {
    checked(Variety, c);
    expect([c.name, varietyFaults(c)]).toEqual([c.name, []]);
  }
  expect(daysToMaturityOf({ crop: 'tomato', type: 'cherry' })).toEqual({ days: 62, sure: false });
  expect(daysToMaturityOf({ crop: 'pepper', daysToMaturity: 91 })).toEqual({ days: 91, sure: true });
});

test('a bush of hot tomato, twenty days to maturity, letters of the other crop: refused with the reason', () => {
  expect(() => checked(Variety, { name: 'x', crop: 'tomato', daysToMaturity: 20 })).toThrow();
  expect(varietyFaults({ name: 'x', crop: 'tomato', type: 'hot' })).toHaveLength(1);
  expect(varietyFaults({ name: 'x', crop: 'pepper', letters: 'TYLCV' })).toEqual([
    { path: 'letters', reason: 'TYLCV means yellow leaf curl virus, which does not affect a pepper' },
  ]);
});
