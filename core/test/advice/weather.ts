import { frostFrom, hardSpells, type PlaceInSpell, spellPlan, usualFrostsCheck } from './spells.js';
import { acidityDose } from '../../src/soil/index.js';
import { from } from './row.js';

const bed = (more: object = {}): PlaceInSpell => ({
  facts: { kind: 'ground', texture: 'loam', areaM2: 2 },
  plants: 4,
  areaM2: 2,
  stages: ['ripening'],
  water: null,
  latitude: 45,
  ...more,
});
const pot = (volumeL: number) => bed({ facts: { kind: 'container', texture: 'potting-mix', volumeL } });
const tunnel = bed({ facts: { kind: 'tunnel-bed', texture: 'loam' } });
const TODAY = '2026-10-10';
const frost = (extremeC: number, p: PlaceInSpell = bed()) =>
  spellPlan({ kind: 'frost', from: '2026-10-12', to: '2026-10-12', extremeC }, TODAY, p).map((a) => a.what);
const heat = (extremeC: number, p: PlaceInSpell = bed()) =>
  spellPlan({ kind: 'heat', from: TODAY, to: '2026-10-12', extremeC }, TODAY, p).map((a) => a.what);
const has = (acts: readonly { act: string }[], act: string) => acts.some((a) => a.act === act);
const nights = (minC: number, facts: object = { kind: 'ground' }, newlyPlanted = false) =>
  hardSpells(TODAY, [{ date: TODAY, tMinC: minC, tMaxC: 16, rainMm: 0 }], { facts: facts as never, newlyPlanted }).map(
    (s) => s.kind,
  );
const lime = (pH: number, target: number, texture: 'sand' | 'loam' | 'clay', isPot = false) => {
  const a = acidityDose({ pH, target, texture, areaM2: 10, from: TODAY, isPot } as never);
  return a.kind === 'dose' ? a.dose.with : a.kind === 'refused' ? a.because : a.kind;
};

/** Frost and heat in grades; lime and sulfur. */
export const WEATHER = [
  ...from(
    'extension guides (Colorado State, NC State) on frost and covers: ground frost from 2 to 4 °C at the screen; single film keeps 1 to 2 °C; fleece saves to −2 to −3 °C',
    [
      ['! ground frost possible at 2 °C?', ['frost'], () => nights(2)],
      ['at 6 °C?', [], () => nights(6)],
      ['! in a hollow at 5 °C?', ['frost'], () => nights(5, { kind: 'ground', hollow: true })],
      ['! newly planted at 5 °C?', ['frost'], () => nights(5, { kind: 'ground' }, true)],
      ['! new plants at 8 °C?', ['chill'], () => nights(8, { kind: 'ground' }, true)],
      ['! in a tunnel at 1 °C outside?', ['frost'], () => nights(1, { kind: 'tunnel-bed' })],
      ['in a tunnel at 3 °C outside?', [], () => nights(3, { kind: 'tunnel-bed' })],
      ['on a window sill at 0 °C?', [], () => nights(0, { kind: 'container', cover: 'indoors' })],
      [
        'single film keeps at most 2 °C?',
        true,
        () =>
          frostFrom({ facts: { kind: 'ground' }, newlyPlanted: false }) -
            frostFrom({ facts: { kind: 'tunnel-bed' }, newlyPlanted: false }) <=
          2,
      ],
      ['−1 °C: cover?', true, () => has(frost(-1), 'cover')],
      ['−3 °C: one layer?', false, () => frost(-3).some((a) => a.act === 'cover' && a.double)],
      ['−3.5 °C: two layers?', true, () => frost(-3.5).some((a) => a.act === 'cover' && a.double)],
      ['! −5 °C: pick everything?', true, () => has(frost(-5), 'harvest-all')],
      ['−5 °C: is a cover promised to help?', false, () => has(frost(-5), 'cover')],
      ['! −5 °C, a 12 L pot: brought in?', true, () => has(frost(-5, pot(12)), 'pots-in')],
      ['−5 °C, a tunnel: fleece inside?', true, () => has(frost(-5, tunnel), 'cover')],
      ['! −6 °C, a tunnel: pick everything?', true, () => has(frost(-6, tunnel), 'harvest-all')],
      ['are there frosts to expect in lowland at 45° north?', true, () => usualFrostsCheck(45, 100)],
      ['in lowland at 5° north?', false, () => usualFrostsCheck(5, 100)],
    ],
  ),
  ...from('UF/IFAS, Texas A&M and UC on heat: shade the afternoon side, water early, vents open, check pots twice', [
    ['a bed at 35 °C: shade?', true, () => has(heat(35), 'shade')],
    [
      'shade on the sunny side in the north?',
      'south',
      () => heat(35).flatMap((a) => (a.act === 'shade' ? [a.side] : []))[0],
    ],
    [
      'and in the south?',
      'north',
      () => heat(35, bed({ latitude: -34 })).flatMap((a) => (a.act === 'shade' ? [a.side] : []))[0],
    ],
    ['a tunnel at 38 °C: vents?', true, () => has(heat(38, tunnel), 'open-vents')],
    [
      'a 10 L pot at 36 °C: looked at, at midday too?',
      true,
      () => heat(36, pot(10)).some((a) => a.act === 'check-pots' && a.midday),
    ],
    ['a bed in a heat wave: a finger?', true, () => has(heat(35), 'check-bed')],
    ['mulch on bare soil?', true, () => has(heat(35), 'mulch')],
    ['! feeding at 40 °C?', false, () => heat(40).some((a) => a.act === 'heat-not' && a.feed)],
    ['feeding weakly at 34 °C?', true, () => heat(34).some((a) => a.act === 'heat-not' && a.feed)],
    ['ripe fruit before the heat?', true, () => has(heat(36), 'harvest')],
  ]),
  ...from(
    'Oregon State EM 9057 and Clemson HGIC 1650: ground limestone raises pH, elemental sulfur lowers it, by texture; not in pots',
    [
      ['pH 5.2 in loam?', 'lime', () => lime(5.2, 6.4, 'loam')],
      ['pH 7.4 in sand?', 'sulfur', () => lime(7.4, 6.6, 'sand')],
      ['pH 6.4?', 'right', () => lime(6.4, 6.4, 'loam')],
    ],
  ),
];
