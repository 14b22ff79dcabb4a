import type { FactCode } from '../facts.js';
import type { SignCode } from '../vocabulary/signs.js';

/** One possible outcome of a check: what it would show present (what that rules out follows) and absent. */
export interface Answer {
  text: string;
  present?: readonly SignCode[];
  absent?: readonly SignCode[];
}

export interface CheckRow {
  code: string;
  label: string;
  /** what to do, in a sentence or two */
  how: string;
  /** 0 costs nothing, 1 a little time, 2 disturbs the plant or costs money */
  effort: 0 | 1 | 2;
  answers: readonly Answer[];
  /** makes sense only where one of these signs was seen */
  needs?: readonly SignCode[];
  /** makes sense only while all of these facts hold */
  onlyWhile?: readonly FactCode[];
}

const check = <C extends string>(code: C, label: string, effort: 0 | 1 | 2, how: string, answers: readonly Answer[], when: Pick<CheckRow, 'needs' | 'onlyWhile'> = {}): CheckRow & { code: C } => ({
  code,
  label,
  how,
  effort,
  answers,
  ...when,
});
const LIMP: readonly SignCode[] = ['leaf-wilt', 'leaf-wilt-midday-only', 'leaf-wilt-at-dawn', 'leaf-wilt-one-side'];
const PALE: readonly SignCode[] = [
  'leaf-yellow-slow-few',
  'leaf-yellow-fast',
  'leaf-yellow-whole-old',
  'leaf-yellow-between-veins-old',
  'leaf-yellow-between-veins-new',
  'leaf-yellow-patches',
  'leaf-dark-lush',
  'leaf-tip-burn',
  'flower-few',
  'plant-stunted',
];
const SPOTTED: readonly SignCode[] = ['leaf-target-spots', 'leaf-small-grey-spots', 'leaf-greasy-blotches', 'leaf-olive-mould-under', 'leaf-small-dark-spots', 'leaf-yellow-patches'];
const EATEN: readonly SignCode[] = ['leaf-large-missing', 'leaf-ragged-holes', 'leaf-droppings', 'fruit-chewed', 'fruit-deep-hole', 'fruit-slime'];
const FRUIT_PATCH: readonly SignCode[] = ['fruit-pale-papery-patch', 'fruit-blossom-end-dark', 'fruit-green-shoulders', 'fruit-patch-mould'];
const seen = (text: string, ...present: SignCode[]): Answer => ({ text, present });
const not = (text: string, ...absent: SignCode[]): Answer => ({ text, absent });

/** Checks: what to do next to tell causes apart. Source: common practice, from memory. */
export const CHECKS = [
  check('finger-test', 'Feel the soil a finger deep', 0, 'Push a finger in to the second knuckle, a hand away from the stem. A dry top can hide a soaked depth, in clay most of all.', [
    seen('dry', 'soil-dry-deep'),
    seen('damp', 'soil-damp-deep'),
    seen('wet', 'soil-wet-deep'),
  ]),
  check('pot-weight', 'Lift the pot', 0, 'Lift it and compare with one just watered, or put it on a scale.', [seen('light', 'pot-light'), seen('heavy', 'pot-heavy')], { onlyWhile: ['container'] }),
  check(
    'water-and-watch',
    'Water, and look again in an hour',
    0,
    'Only if the soil is dry: water slowly, then look after 30 to 60 minutes.',
    [seen('firm again', 'leaf-recovers-after-water'), seen('still limp', 'leaf-no-recovery-after-water')],
    { needs: LIMP, onlyWhile: ['not-felt-wet'] },
  ),
  check(
    'look-at-dawn',
    'Look early in the morning',
    0,
    'Look before the sun is on it. Limp at three in the afternoon often means nothing; limp at dawn does.',
    [seen('firm at dawn', 'leaf-wilt-midday-only'), seen('limp at dawn', 'leaf-wilt-at-dawn')],
    { needs: LIMP },
  ),
  check(
    'shade-trial',
    'Shade it for one afternoon',
    0,
    'Shade the plant from noon to five and see if it stays firm.',
    [seen('firm in the shade', 'leaf-wilt-midday-only'), not('limp all the same', 'leaf-wilt-midday-only')],
    { needs: LIMP },
  ),
  check('look-under-leaves', 'Look under the leaves with a lens', 0, 'Turn ten leaves, old and new, and look at the tip.', [
    seen('soft insects in clusters', 'pest-aphids'),
    seen('white flies', 'pest-whitefly'),
    seen('moving dots and fine pale specks', 'pest-mites', 'leaf-stipple'),
    seen('moving dots on bronzed tips', 'pest-mites', 'leaf-bronzed-under'),
    seen('olive mould', 'leaf-olive-mould-under'),
    seen('nothing', 'pest-none-found'),
  ]),
  check('shake-plant', 'Shake the plant', 0, 'Shake it gently and watch what flies up.', [seen('white flies rise', 'pest-whitefly'), not('nothing rises', 'pest-whitefly')]),
  check(
    'paper-tap',
    'Tap a flower over white paper',
    0,
    'Tap flowers and young leaves over white paper and watch for slivers that run.',
    [seen('slivers that run', 'flower-tiny-insects', 'pest-thrips'), not('nothing', 'flower-tiny-insects', 'pest-thrips')],
    { needs: ['flower-drop', 'flower-dry', 'leaf-silver-streaks', 'leaf-bronze-rings', 'flower-few'] },
  ),
  check(
    'look-after-dark',
    'Look after dark with a torch',
    1,
    'Go out an hour after dark and look at the damaged part and the soil below it.',
    [seen('a horned caterpillar', 'pest-hornworm'), seen('slugs or snails', 'pest-slug'), seen('another caterpillar', 'pest-caterpillar'), not('nothing', 'pest-hornworm', 'pest-slug', 'pest-caterpillar')],
    { needs: EATEN },
  ),
  check('follow-ants', 'Follow the ants', 0, 'See where the ants go: they tend aphids.', [seen('they lead to aphids', 'pest-aphids'), not('they lead nowhere', 'pest-aphids')], { needs: ['pest-ants'] }),
  check(
    'inspect-roots',
    'Look at the roots',
    2,
    'Tip the pot, or dig a hand’s depth at the edge of the root ball.',
    [seen('brown and slimy', 'root-brown-slimy'), seen('knots', 'root-knots'), seen('circling the pot', 'root-circling'), seen('white and firm', 'root-white-firm')],
    { needs: [...LIMP, 'plant-stunted', 'leaf-yellow-mushy', 'leaf-yellow-fast'] },
  ),
  check(
    'cut-lower-stem',
    'Cut a low side stem',
    2,
    'Cut a side stem low down, look for brown streaks, and hang the end in clear water for five minutes.',
    [seen('brown streaks', 'stem-brown-inside'), seen('milky threads', 'stem-ooze'), not('clean and green', 'stem-brown-inside', 'stem-ooze')],
    { needs: [...LIMP, 'leaf-yellow-one-side'] },
  ),
  check(
    'compare-old-and-new-leaves',
    'Compare old and new leaves',
    0,
    'Hold an old and a new leaf side by side against the light.',
    [
      seen('the old pale all over', 'leaf-yellow-whole-old'),
      seen('the old yellow between veins', 'leaf-yellow-between-veins-old'),
      seen('the new yellow between veins', 'leaf-yellow-between-veins-new'),
      seen('only a few of the oldest', 'leaf-yellow-slow-few'),
      seen('tips burnt', 'leaf-tip-burn'),
      seen('very dark and lush', 'leaf-dark-lush'),
    ],
    { needs: PALE },
  ),
  check('compare-with-neighbours', 'Compare with the neighbours', 0, 'Look at the plants beside it and at other crops.', [
    seen('this plant only', 'spread-one-plant'),
    seen('some plants', 'spread-some-plants'),
    seen('the whole bed', 'spread-whole-bed'),
    seen('other crops too', 'spread-also-other-crops'),
  ]),
  check(
    'which-side-faces-sun',
    'See which side faces the sun',
    0,
    'Is the damage on the side that the afternoon sun strikes?',
    [seen('on the sun side', 'fruit-patch-sun-side'), not('not on the sun side', 'fruit-patch-sun-side')],
    { needs: FRUIT_PATCH },
  ),
  check('smell-fruit', 'Smell the fruit', 0, 'Smell and press it: sour or soft goes in the bin, firm and sweet can be eaten.', [seen('sour or soft', 'fruit-soft-sour'), not('sound', 'fruit-soft-sour')], {
    needs: [...FRUIT_PATCH, 'fruit-ring-cracks', 'fruit-radial-cracks', 'fruit-burst'],
  }),
  check(
    'damp-bag',
    'A leaf overnight in a damp bag',
    1,
    'Close a spotted leaf in a bag with damp paper and look underneath next morning.',
    [seen('white fuzz', 'leaf-white-fuzz-under'), seen('olive mould', 'leaf-olive-mould-under'), not('no growth', 'leaf-white-fuzz-under', 'leaf-olive-mould-under')],
    { needs: SPOTTED },
  ),
  check(
    'percolation-test',
    'Time how fast a hole drains',
    1,
    'Dig 30 cm (1 ft) deep, fill once, fill again, and measure the fall in an hour. Ask first where cables and pipes run.',
    [seen('under 25 mm (1 in) an hour', 'soil-pooling'), not('25 mm (1 in) an hour or more', 'soil-pooling')],
    { onlyWhile: ['in-ground'] },
  ),
  check('soil-test', 'Have the soil tested', 2, 'Send a sample for acidity, calcium and salts; only what is short is added.', []),
  check('wait-and-recheck', 'Wait, and look again in three days', 0, 'Leave it alone, look again in three days and compare.', []),
] as const;

export type CheckCode = (typeof CHECKS)[number]['code'];
const BY_CODE = new Map<CheckCode, CheckRow & { code: CheckCode }>(CHECKS.map((c) => [c.code, c]));
export const checkRow = (code: CheckCode): CheckRow & { code: CheckCode } => BY_CODE.get(code)!;
