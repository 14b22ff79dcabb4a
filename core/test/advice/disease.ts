import { claimIn, claimOf } from '../../src/claims/index.js';
import { CAUTIONS } from '../../src/records/index.js';
import { salvageRow, useFaults } from '../../src/harvest/index.js';
import { clearingFor } from '../../src/reports/index.js';
import { shieldsFrom } from '../../src/varieties/index.js';
import { from } from './row.js';

const clear = (disorder: string, isPot = false) => {
  const c = clearingFor([{ isPot, disorders: [disorder] as never }]);
  return c.bag.length > 0 ? 'bag' : c.bury.length > 0 ? 'bury' : 'compost';
};
const verdict = (text: string) => claimIn(text)?.verdict ?? null;
const refused = (state: string, use: string) => useFaults({ state: state as never, use }, '').length > 0;

/** Clearing, letters, fruit, hygiene, claims. */
export const DISEASE = [
  ...from(
    'Cornell and UC IPM: what lives in soil and living plants is bagged or buried, remains of leaf spots are buried, healthy plants composted',
    [
      ['! plants with wilt?', 'bag', () => clear('vascular-wilt')],
      ['! plants with nematodes?', 'bag', () => clear('root-knot-nematodes')],
      ['! plants with late blight, killed by frost or not?', 'bag', () => clear('late-blight')],
      ['! plants with mosaic?', 'bag', () => clear('mosaic-virus')],
      ['! plants with spotted wilt virus?', 'bag', () => clear('spotted-wilt-virus')],
      ['plants with early blight?', 'bury', () => clear('early-blight')],
      ['plants with septoria?', 'bury', () => clear('septoria-leaf-spot')],
      ['plants with blossom end rot?', 'compost', () => clear('blossom-end-rot')],
      [
        '! the mix of a pot with wilt, used again?',
        ['vascular-wilt'],
        () => clearingFor([{ isPot: true, disorders: ['vascular-wilt'] }]).binMix,
      ],
      [
        'the mix of a pot with early blight?',
        [],
        () => clearingFor([{ isPot: true, disorders: ['early-blight'] }]).binMix,
      ],
    ],
  ),
  ...from('International Seed Federation, recommended codes for pest organisms; Cornell list of resistant tomatoes', [
    ['V alone against wilt?', [], () => shieldsFrom('V', 'tomato')],
    ['VF against wilt?', ['vascular-wilt'], () => shieldsFrom('VF', 'tomato')],
    ['V F1–F3?', ['vascular-wilt'], () => shieldsFrom('V, F1-3', 'tomato')],
    ['N?', ['root-knot-nematodes'], () => shieldsFrom('N', 'tomato')],
    ['ToMV?', ['mosaic-virus'], () => shieldsFrom('ToMV', 'tomato')],
    ['ToBRFV against the old mosaics?', [], () => shieldsFrom('ToBRFV', 'tomato')],
    ['TSWV?', ['spotted-wilt-virus'], () => shieldsFrom('TSWV', 'tomato')],
    ['TYLCV?', ['leaf-curl-virus'], () => shieldsFrom('TYLCV', 'tomato')],
    ['A (stem canker) against early blight?', [], () => shieldsFrom('A', 'tomato')],
    ['ASC?', [], () => shieldsFrom('ASC', 'tomato')],
    ['EB?', ['early-blight'], () => shieldsFrom('EB', 'tomato')],
    ['S or St against septoria?', [], () => shieldsFrom('S, St', 'tomato')],
    ['Pf?', ['leaf-mould'], () => shieldsFrom('Pf', 'tomato')],
    ['LB or Ph?', ['late-blight'], () => shieldsFrom('Ph', 'tomato')],
    ['late blight, intermediate only?', [], () => shieldsFrom('IR: Ph', 'tomato')],
    ['peppers: Tm?', ['mosaic-virus'], () => shieldsFrom('Tm:0-3', 'pepper')],
    ['peppers: L4?', ['mosaic-virus'], () => shieldsFrom('L4', 'pepper')],
    ['peppers: X?', ['bacterial-leaf-spot'], () => shieldsFrom('X1-3', 'pepper')],
    ['peppers: PVY?', ['mosaic-virus'], () => shieldsFrom('PVY', 'pepper')],
    ['a tomato’s late blight letter on a pepper?', [], () => shieldsFrom('LB', 'pepper')],
  ]),
  ...from(
    'USDA Complete Guide to Home Canning 2015; CDC on food safety: only sound fruit is canned, gnawed and mouldy fruit is binned',
    [
      ['! canning split fruit?', false, () => salvageRow('split').canning],
      ['! canning fruit with blossom end rot?', false, () => salvageRow('dark-end').canning],
      ['! canning fruit of a blighted plant?', false, () => salvageRow('blighted').canning],
      ['! canning frosted fruit?', false, () => salvageRow('frosted').canning],
      ['canning sound fruit?', true, () => salvageRow('sound').canning],
      ['! eating gnawed fruit?', true, () => refused('gnawed', 'eaten')],
      ['! eating soft, sour fruit?', true, () => refused('soft', 'eaten')],
      ['keeping blighted fruit on the shelf?', true, () => refused('blighted', 'kept')],
      ['eating the sound part of a dark end?', false, () => refused('dark-end', 'eaten')],
      ['eating a fresh split today?', false, () => refused('split', 'eaten')],
    ],
  ),
  ...from(
    'Ohio State extension and Li et al. 2015 on disinfectants against tomato viruses: soap, then 20 % skimmed milk powder or fresh bleach 1:10; alcohol is not enough',
    [
      ['! alcohol against mosaic?', true, () => /[Aa]lcohol is not enough/.test(CAUTIONS['mosaic-tools'])],
      ['skimmed milk powder, how strong?', true, () => /20 %/.test(CAUTIONS['mosaic-tools'])],
      ['bleach, how strong?', true, () => /one part in ten/.test(CAUTIONS['mosaic-tools'])],
      ['! bleach mixed with something?', true, () => /never mix bleach/.test(CAUTIONS['mosaic-tools'])],
    ],
  ),
  ...from('Washington State, UC ANR and RHS on garden remedies', [
    ['! Epsom salt against blossom end rot?', 'harmful', () => verdict('Epsom salt against blossom end rot')],
    ['milk against mildew?', 'partly', () => verdict('milk against mildew')],
    ['baking soda spray?', 'partly', () => verdict('baking soda spray')],
    ['! baking soda in the soil?', 'harmful', () => verdict('baking soda in the soil')],
    ['copper wire against slugs?', 'no-evidence', () => verdict('copper wire against slugs')],
    ['copper wire in the stem?', 'no', () => verdict('copper wire in the stem')],
    ['! tobacco tea?', 'harmful', () => verdict('tobacco tea')],
    ['! mothballs?', 'harmful', () => verdict('mothballs')],
    ['! hydrated lime?', 'harmful', () => verdict('hydrated lime')],
    ['! dish soap?', 'harmful', () => verdict('dishwashing soap spray')],
    ['wood ash?', 'partly', () => verdict('wood ash')],
    ['peroxide?', 'no', () => verdict('peroxide')],
    ['aspirin?', 'no-evidence', () => verdict('aspirin')],
    ['fertiliser before rain?', 'harmful', () => verdict('fertiliser before rain')],
    ['watering in sun?', 'no', () => verdict('watering in sun')],
    ['coffee grounds?', 'no', () => verdict('coffee grounds')],
    ['banana peel?', 'no-evidence', () => verdict('banana peel')],
    ['egg shells at planting?', 'no-evidence', () => verdict('egg shells at planting')],
    ['planting by the moon?', 'no-evidence', () => verdict('planting by the moon')],
    ['caterpillars on dill: killed?', true, () => /Leave those on the dill/.test(claimOf('dill-trap')!.instead)],
    ['more leaves, more sugar?', 'works', () => verdict('more leaf more sugar')],
    ['sugar in the soil?', 'no', () => verdict('sugar in the soil')],
    ['! vinegar on the soil?', 'harmful', () => verdict('vinegar water')],
  ]),
];
