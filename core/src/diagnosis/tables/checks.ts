import { type SignCode, signRow, SIGNS } from '../../records/vocabulary/signs.js';
import type { FactCode } from '../facts.js';
import { must } from '../../units/lists.js';

/** One possible outcome of a check: the signs it would show (what that rules out follows). */
export interface Answer {
  text: string;
  present: readonly SignCode[];
}

/** A check: what to look at, how, and its effort. */
export interface CheckRow {
  code: string;
  label: string;
  /** what to do, in one or two sentences */
  how: string;
  /** 0 no effort, 1 a little time, 2 disturbs the plant or costs money */
  effort: 0 | 1 | 2;
  /** what it may show; empty for a check that adds a record instead of a sign */
  answers: readonly Answer[];
  /** exactly one outcome is true; otherwise it may show none, and then all are absent */
  oneOf?: true;
  /** for checks that disturb the plant or wait: only if one of these signs was seen */
  needs?: readonly SignCode[];
  /** only while all of these facts hold */
  onlyWhile?: readonly FactCode[];
  /** the look that tells most about these signs: it comes first while nothing is certain */
  tells?: readonly SignCode[];
}

const check = <C extends string>(code: C, label: string, effort: 0 | 1 | 2, how: string, answers: readonly Answer[], when: Pick<CheckRow, 'needs' | 'onlyWhile' | 'oneOf' | 'tells'> = {}): CheckRow & { code: C } => ({
  code,
  label,
  how,
  effort,
  answers,
  ...when,
});

const LIMP: readonly SignCode[] = ['leaf-wilt', 'leaf-wilt-midday-only', 'leaf-wilt-at-dawn', 'leaf-wilt-one-side', 'leaf-scorch-one-side'];
const CROOKED: readonly SignCode[] = [...LIMP, 'plant-stunted', 'plant-no-new-growth', 'plant-flopping'];
const SPOTTED: readonly SignCode[] = [
  'leaf-target-spots',
  'leaf-small-grey-spots',
  'leaf-greasy-blotches',
  'leaf-olive-mould-under',
  'leaf-small-dark-spots',
  'leaf-frogeye-spots',
  'leaf-powder-below',
  'plant-grey-fur',
  'leaf-yellow-patches',
  'stem-dark-lesions',
  'fruit-brown-greasy',
  'fruit-sunken-round-spots',
  'pace-days',
  'where-lower-leaves',
];
const EATEN: readonly SignCode[] = [
  'leaf-large-missing',
  'leaf-ragged-holes',
  'leaf-shot-holes',
  'stem-cut-at-soil',
  'plant-shoots-bitten',
  'leaf-droppings',
  'fruit-chewed',
  'fruit-deep-hole',
  'fruit-slime',
  'fruit-gnawed-or-gone',
  'fruit-pecked',
  'pace-overnight',
];
const seen = (text: string, ...present: SignCode[]): Answer => ({ text, present });
/** Signs that the check shows one by one, in their own words. */
const any = (...signs: SignCode[]): Answer[] => signs.map((sign) => ({ text: signRow(sign).label.toLowerCase(), present: [sign] }));

/** Every sign of these groups that is visible during the check. */
const all = (pattern: RegExp, ...more: SignCode[]): Answer[] => any(...new Set([...SIGNS.filter((s) => pattern.test(s.code)).map((s) => s.code), ...more]));

/**
 * Checks: what to look at next to tell causes apart, with every sign visible on the way. Source: common practice,
 * from memory.
 */
export const CHECKS = [
  check(
    'finger-test',
    'Feel the soil a finger deep',
    0,
    'Push a finger in to the second knuckle, a hand’s width from the stem. A dry surface can hide wet soil below, most of all in clay.',
    [seen('dry', 'soil-dry-deep'), seen('damp', 'soil-damp-deep'), seen('wet', 'soil-wet-deep')],
    { oneOf: true },
  ),
  check(
    'pot-weight',
    'Lift the pot',
    0,
    'Lift it and compare it with a freshly watered one, or weigh it. Check the rim: water runs past the roots through a gap there.',
    [...any('pot-light', 'pot-heavy', 'soil-pulls-from-pot', 'soil-white-crust')],
    { onlyWhile: ['container'] },
  ),
  check(
    'water-and-watch',
    'Water, and look again in an hour',
    0,
    'If the soil is dry, water slowly and see whether it soaks in. Look again after 30 to 60 minutes.',
    [seen('firm again', 'leaf-recovers-after-water'), seen('still drooping', 'leaf-no-recovery-after-water')],
    { needs: LIMP, onlyWhile: ['felt-dry'], oneOf: true },
  ),
  check(
    'look-at-dawn',
    'Look early in the morning',
    0,
    'Look before the sun reaches it. Drooping at three in the afternoon often means nothing; drooping at dawn does.',
    [seen('firm at dawn', 'leaf-wilt-midday-only'), seen('drooping at dawn', 'leaf-wilt-at-dawn')],
    { needs: LIMP, onlyWhile: ['not-felt-dry'], oneOf: true },
  ),
  check('shade-trial', 'Shade it for one afternoon', 0, 'Shade the plant from noon to five and see whether it stays firm.', [seen('firm in the shade', 'leaf-wilt-midday-only')], {
    needs: LIMP,
    onlyWhile: ['not-felt-dry'],
  }),
  check(
    'look-under-leaves',
    'Look under the leaves with a lens',
    0,
    'Turn over ten leaves, old and new. Look at the tips, and run a finger along them.',
    any(
      'pest-aphids',
      'pest-aphid-mummies',
      'pest-whitefly',
      'pest-mites',
      'pest-hornworm',
      'pest-thrips',
      'pest-caterpillar',
      'leaf-stipple',
      'leaf-webbing',
      'leaf-bronzed-under',
      'leaf-silver-streaks',
      'leaf-sticky',
      'leaf-olive-mould-under',
      'leaf-white-fuzz-under',
      'leaf-corky-bumps',
      'leaf-purple-under',
      'leaf-droppings',
      'leaf-mines',
      'leaf-white-powder',
      'leaf-target-spots',
      'leaf-small-grey-spots',
      'leaf-small-dark-spots',
      'leaf-greasy-blotches',
      'leaf-curl-tight-new',
      'leaf-strap-twist',
      'leaf-cup-yellow-edge',
      'leaf-yellow-between-veins-new',
      'leaf-mottle',
      'leaf-bronze-rings',
      'pest-potato-beetle',
      'leaf-sugar-grains',
      'leaf-blotch-mines',
      'leaf-frogeye-spots',
      'leaf-powder-below',
      'plant-grey-fur',
      'leaf-ragged-holes',
    ),
  ),
  check('shake-plant', 'Shake the plant', 0, 'Shake it gently and watch what flies up or drops.', any('pest-whitefly', 'pest-flea-beetle', 'pest-stink-bug', 'flower-drop', 'fruitlet-drop')),
  check(
    'paper-tap',
    'Tap a flower over white paper',
    0,
    'Tap flowers and young leaves over white paper and watch for moving slivers. See how many flowers drop and how many are open.',
    any('flower-tiny-insects', 'pest-thrips', 'flower-drop', 'flower-dry', 'flower-many-open', 'flower-few', 'flower-bud-holes', 'fruitlet-drop'),
    { needs: ['flower-bud-holes', 'flower-drop', 'flower-dry', 'fruitlet-drop', 'flower-few', 'leaf-silver-streaks', 'leaf-bronze-rings', 'flower-many-open', 'flower-tiny-insects', 'flower-still-air', 'after-heat'] },
  ),
  check(
    'look-after-dark',
    'Look after dark with a torch',
    1,
    'Go out an hour after dark. Look at the damaged part and the soil below it.',
    any('pest-hornworm', 'pest-slug', 'pest-caterpillar', 'pest-potato-beetle', 'fruit-slime', 'leaf-droppings', 'fruit-gnawed-or-gone', 'leaf-large-missing', 'stem-cut-at-soil', 'plant-shoots-bitten'),
    // cutworms come out at night
    { needs: EATEN, tells: ['stem-cut-at-soil'] },
  ),
  check('follow-ants', 'Follow the ants', 0, 'See where the ants go: they look after aphids.', any('pest-aphids', 'leaf-sticky'), { needs: ['pest-ants'], tells: ['pest-ants'] }),
  check(
    'inspect-roots',
    'Look at the roots',
    2,
    'Tip the plant out of its pot, or dig a hand deep at the edge of the root ball. Look and smell.',
    all(/^root-|^stem-(collar|dark-band|cut|root|white-fur)/, 'pest-fungus-gnats'),
    {
      // limp at noon in mild weather: the heat is not the cause
      tells: ['leaf-wilt-midday-only'],
      needs: [
        ...CROOKED,
        'leaf-yellow-mushy',
        'leaf-yellow-fast',
        'leaf-yellow-patches',
        'root-brown-slimy',
        'root-sour-smell',
        'pot-heavy',
        'soil-wet-deep',
        'stem-dark-band',
        'stem-collar-rot',
        'stem-collar-threads',
        'stem-white-fur',
        'stem-cut-at-soil',
        'fruit-brown-greasy',
        'pace-overnight',
      ],
    },
  ),
  check(
    'cut-lower-stem',
    'Cut a low side stem',
    2,
    'Cut a low side stem and look for brown streaks. Hang the cut end in clear water for five minutes.',
    any('stem-brown-inside', 'stem-ooze', 'stem-dark-lesions', 'stem-white-fur', 'stem-bronzed-upward'),
    {
      needs: [...LIMP, 'leaf-yellow-one-side', 'stem-dark-lesions', 'plant-stunted'],
      // canker
      tells: ['leaf-scorch-one-side'],
    },
  ),
  check(
    'compare-old-and-new-leaves',
    'Compare old and new leaves',
    0,
    'Hold an old and a new leaf side by side against the light. Compare colour, veins, edges, shape and spots.',
    all(/^leaf-(?!wilt|recovers|no-recovery|droppings|sticky|webbing)/, 'plant-no-new-growth', 'plant-grey-fur', 'stem-bronzed-upward'),
  ),
  check('compare-with-neighbours', 'Compare with the plants beside it', 0, 'Look at the plants beside it and at other crops. Is it smaller, thinner or limper than they are?', [
    seen('this plant only', 'spread-one-plant'),
    seen('some plants', 'spread-some-plants'),
    seen('the whole bed', 'spread-whole-bed'),
    seen('other crops too', 'spread-also-other-crops'),
    ...any('plant-stunted', 'plant-no-new-growth', 'plant-flopping', 'plant-dense', 'plant-shoots-bitten', 'plant-walnut-near', 'stem-leggy', 'stem-tie-cutting', 'stem-broken', 'leaf-wilt', 'flower-few'),
  ]),
  check(
    'which-side-faces-sun',
    'See which side faces the sun',
    0,
    'Is the damage on the side facing the afternoon sun or the wind? Is it pale and dry, or torn?',
    any('fruit-patch-sun-side', 'fruit-pale-papery-patch', 'fruit-dark-flush', 'fruit-green-shoulders', 'leaf-bleached-patches', 'leaf-torn-exposed', 'where-exposed-side'),
  ),
  check(
    'smell-fruit',
    'Turn a fruit and smell it',
    0,
    'Look at the end, the sides and the stalk of a fruit, then smell and press it. Bin sour or soft fruit; firm, sweet fruit is good to eat.',
    all(/^fruit-(?!patch-sun-side|slow-to-colour)/, 'plant-grey-fur', 'pest-stink-bug'),
    { onlyWhile: ['may-bear'] },
  ),
  check(
    'damp-bag',
    'Keep a leaf in a damp bag overnight',
    1,
    'Close a spotted leaf in a bag with damp paper. Look at both sides next morning.',
    any('leaf-white-fuzz-under', 'leaf-olive-mould-under', 'leaf-greasy-blotches'),
    { needs: SPOTTED },
  ),
  check(
    'percolation-test',
    'Time how fast a hole drains',
    1,
    'Dig 30 cm (1 ft) deep, fill it, fill it again and measure the fall in an hour. First ask where cables and pipes run.',
    [seen('under 25 mm (1 in) an hour', 'soil-pooling')],
    { onlyWhile: ['in-ground'] },
  ),
  check('soil-test', 'Have the soil tested', 2, 'Send a sample to be tested for pH, calcium and salts. Add only what is low.', []),
  check(
    'wait-and-recheck',
    'Wait and look again in three days',
    1,
    'Leave it alone and look again in three days. Has it spread, climbed, stayed the same or gone?',
    any('pace-spreading-upward', 'fruit-slow-to-colour', 'plant-no-new-growth'),
  ),
] as const;

/** Code of a check. */
export type CheckCode = (typeof CHECKS)[number]['code'];
const BY_CODE = new Map<CheckCode, CheckRow & { code: CheckCode }>(CHECKS.map((c) => [c.code, c]));
/** Returns the row of a check. */
export const checkRow = (code: CheckCode): CheckRow & { code: CheckCode } => must(BY_CODE.get(code));

/** Returns every sign the check would show if it is there. */
export const shownBy = (row: CheckRow): SignCode[] => [...new Set(row.answers.flatMap((a) => a.present))];
