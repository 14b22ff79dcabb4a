import type { CautionCode } from '../../records/vocabulary/cautions.js';
import type { SprayCode } from '../../spray/limits.js';
import type { FactCode } from '../facts.js';
import { must } from '../../units/lists.js';

/** How a remedy's dose is computed; the rules are in `../remedies/doses.ts`. */
export type DoseKind = 'next-watering' | 'rhythm' | 'hold-water' | 'mulch' | 'shade' | 'flush' | 'pause-feed' | 'light-feed' | 'lime-drench' | 'gypsum' | 'affected' | 'leaf-budget' | 'third-of-leaf' | 'bigger-pot';

/** When to do it, counted from the day of the question. */
export type When = 'today' | 'tomorrow' | 'next-watering' | 'this-week' | 'season-end';

/** A remedy: what to do, how, when, and its place in the order from gentle to drastic. */
export interface RemedyRow {
  code: string;
  rung: 0 | 1 | 2 | 3 | 4 | 5 | 6;
  label: string;
  how: string;
  when: When;
  dose?: DoseKind;
  /** a watering, or a pause in watering: the plan decides when and how much */
  acts?: 'watering' | 'hold-water';
  /** about how long it takes */
  minutes: number;
  /** cautions shown with the act */
  cautions: readonly CautionCode[];
  /** held back while this fact holds, and why */
  notWhile: readonly (readonly [fact: FactCode, because: string])[];
  /** only where one of these facts holds; not mentioned elsewhere */
  onlyWhere?: readonly FactCode[];
  /** only once gentler steps had their follow-up and were not enough */
  afterMilder?: true;
  /** days until it is done again, as long as no fewer are there; a spray goes by its label */
  againDays?: number;
  /** a spray: one at a time */
  sprays?: SprayCode;
  /** removes leaves: all such remedies share one budget */
  cuts?: true;
  /** never postponed: stopping harm, picking, removing what spreads */
  atOnce?: true;
  /** something to leave alone: it never stands before something to do */
  note?: true;
  /** fruit is handled: the hot-pepper caution applies */
  fruit?: true;
  /** held back until the finding is this certain: nothing irreversible on a guess */
  sureFrom?: number;
}

type Extra = Partial<Pick<RemedyRow, 'againDays' | 'dose' | 'acts' | 'cautions' | 'notWhile' | 'sureFrom' | 'onlyWhere' | 'afterMilder' | 'sprays' | 'cuts' | 'note' | 'fruit' | 'atOnce'>>;
/** Minutes per plant for a remedy of a rung, unless its row says otherwise (judgement). */
const MINUTES: Record<RemedyRow['rung'], number> = { 0: 1, 1: 10, 2: 10, 3: 10, 4: 20, 5: 20, 6: 5 };

const remedy = <C extends string>(code: C, rung: RemedyRow['rung'], when: When, label: string, how: string, extra: Extra = {}): RemedyRow & { code: C } => ({
  code,
  rung,
  label,
  how,
  when,
  minutes: MINUTES[rung],
  cautions: [],
  notWhile: [],
  ...extra,
});

const WET: RemedyRow['notWhile'][number] = ['soil-felt-wet', 'the soil is wet: more water would cut off air from the roots'];
const UNSOUND: RemedyRow['notWhile'][number] = ['fruit-not-sound', 'bin soft, sour, leaking or mouldy fruit'];
const FOULED: RemedyRow['notWhile'][number] = ['fruit-fouled', 'bin all of any fruit that is gnawed or has droppings on it'];
const SCALD: RemedyRow['notWhile'][number] = ['sunscald-open', 'fruit or leaves are sunburnt: every leaf is needed for shade'];
const HOT: RemedyRow['notWhile'][number] = ['hot-now', 'it is 30 °C (86 °F) or more: wait for a cooler spell'];
const WARM_EVENING: RemedyRow['notWhile'][number] = ['evening-too-warm', 'even the evening stays at 27 °C (81 °F) or more: it would burn the leaves'];
const TODAY_ONE: RemedyRow['notWhile'][number] = ['sprayed-today', 'something was sprayed today: never spray twice in one day'];
const THIRSTY: RemedyRow['notWhile'][number] = ['short-of-water', 'the plant is short of water, so a spray would burn it'];
/** Certainty needed before spraying: spraying without knowing is the second-worst mistake here (judgement). */
const KNOWN = 0.9;
const spraying = (sprays: SprayCode, ...more: RemedyRow['notWhile']): Extra => ({
  cautions: ['spray', 'test-spray'],
  notWhile: [WARM_EVENING, THIRSTY, TODAY_ONE, ...more],
  sureFrom: KNOWN,
  sprays,
});
const POTS: readonly FactCode[] = ['container'];
const BEDS: readonly FactCode[] = ['in-ground'];
const OUTSIDE: readonly FactCode[] = ['in-the-open', 'under-glass'];

/** Remedies, from the gentlest rung up; rung 6 is next season. Source: common practice, from memory, except where named. */
export const REMEDIES = [
  // 0: leave and watch
  remedy('watch-only', 0, 'today', 'Leave it and watch', 'Nothing needs doing. Look again on the date shown.', { note: true }),
  remedy('leave-mummies', 0, 'today', 'Leave brown, swollen aphids', 'They hold the next generation of a tiny wasp that hunts aphids.', { note: true }),
  remedy('leave-cocooned-hornworm', 0, 'today', 'Leave a caterpillar with white grains', 'The grains are cocoons of a wasp that hunts its kind.', { note: true }),
  remedy('wait-for-cooler', 0, 'today', 'Wait for cooler days', 'Flowers and colour return by themselves when it cools.'),
  remedy('wait-for-warmth', 0, 'today', 'Wait for warmth', 'Growth and colour return as soil and nights warm up.'),
  remedy('open-vents', 0, 'today', 'Open doors and vents', 'Open both ends in the morning, before the sun heats the cover, so air moves. Close them for cold nights.', { onlyWhere: ['under-glass'] }),
  remedy('ripen-indoors', 0, 'today', 'Ripen indoors', 'Tomatoes picked at first blush ripen at room temperature with no loss.', {
    cautions: ['salvage'],
    notWhile: [UNSOUND, FOULED, ['pepper', 'a pepper picked green stays green: leave it to colour, or eat it green. Only one that has begun to turn ripens in a warm room']],
  }),
  remedy('eat-or-trim', 0, 'today', 'Use the sound fruit', 'Cut out the damaged part. The rest of firm, sweet-smelling fruit is good to eat.', {
    cautions: ['salvage'],
    notWhile: [UNSOUND, FOULED],
    fruit: true,
  }),
  // 1: water, cover, handle
  remedy('eat-it', 0, 'today', 'Eat it', 'It is sound: eat it as it is.', { note: true, fruit: true }),
  remedy('water-now', 1, 'today', 'Water now', 'Soak slowly, wait ten minutes, soak again.', {
    dose: 'next-watering',
    acts: 'watering',
    notWhile: [WET, ['water-not-known', 'we don’t know how much water it had: check the soil first'], ['soil-felt-damp', 'the soil is damp: the cause is heat, not thirst']],
  }),
  remedy('even-watering', 1, 'next-watering', 'Water evenly', 'Give the same amount at the same interval, in the morning, so the root zone neither dries out nor stays soaked.', {
    dose: 'rhythm',
    acts: 'watering',
    notWhile: [WET],
  }),
  remedy('water-less', 1, 'today', 'Stop watering for now', 'No water until the soil is dry at a finger’s depth. Empty any saucers.', {
    dose: 'hold-water',
    acts: 'hold-water',
    notWhile: [['soil-felt-dry', 'the soil is dry']],
  }),
  remedy('dry-tray', 1, 'today', 'Dry the top of the mix', 'Remove collapsed seedlings. Take off the cover, run a fan, and empty the tray. Water from below only once the top is dry.', {
    acts: 'hold-water',
    notWhile: [['soil-felt-dry', 'the mix is dry']],
  }),
  // common practice, from memory: lamps for seedlings hang a hand's width above them, 14 to 16 hours a day
  remedy('more-light', 1, 'today', 'Give it more light', 'Move it to the brightest place you have, and turn it daily. Or hang a lamp a hand’s width above it, 14 to 16 hours a day.', {
    onlyWhere: ['portable', 'indoors', 'seedling'],
  }),
  remedy('water-at-base', 1, 'next-watering', 'Water at the base', 'Water the soil, not the leaves, in the morning.'),
  remedy('deep-soak', 1, 'next-watering', 'Soak deeply, less often', 'Give one long, slow watering instead of several short ones, so roots grow down.', {
    dose: 'rhythm',
    acts: 'watering',
    notWhile: [WET],
    onlyWhere: BEDS,
  }),
  remedy('drain-or-mound', 1, 'this-week', 'Improve the drainage', 'Loosen the soil along the edge, open a furrow to the low side and raise the row with compost. Sand makes clay worse.', { onlyWhere: BEDS }),
  remedy('flush-pot', 1, 'today', 'Flush the pot', 'Pour water through slowly in stages and let it drain each time.', { dose: 'flush', notWhile: [WET], onlyWhere: POTS }),
  // 15 cm of water take about half of the salts along (extension teaching after Ayers & Westcot 1985, FAO-29; from memory)
  remedy('leach-bed', 1, 'this-week', 'Wash out the salts', 'Give that much plain water slowly, over a day. It takes about half of the salts down with it. Test again before you feed.', {
    dose: 'flush',
    notWhile: [WET],
    onlyWhere: BEDS,
  }),
  remedy('splash-barrier', 1, 'this-week', 'Stop rain splash', 'Lay four sheets of wet plain newspaper on the soil and mulch over them. Without paper, spread a finger’s width of sand.', {
    onlyWhere: BEDS,
    cautions: ['plain-paper'],
  }),
  remedy('mulch', 1, 'this-week', 'Mulch', 'Lay straw, leaves or clippings 5 to 8 cm (2 to 3 in) deep, away from the stem.', {
    dose: 'mulch',
    cautions: ['manure'],
    notWhile: [WET, ['mulched', 'it is already mulched']],
  }),
  remedy('shade-cloth', 1, 'today', 'Hang shade cloth', 'Hang 30 to 50 % cloth on the west side and the midday-sun side, a hand’s width above the leaves so air moves.', {
    dose: 'shade',
    cautions: ['ladder', 'heat'],
    notWhile: [['shaded', 'shade is already up']],
    onlyWhere: OUTSIDE,
  }),
  remedy('move-to-shade', 1, 'today', 'Move the pot into shade', 'Into the shade from early afternoon; back in the morning.', { onlyWhere: ['portable'] }),
  remedy('frost-cover', 1, 'today', 'Cover against cold nights', 'Cover it to the ground with fleece or a sheet by the evening before. Remove it in the morning.', {
    onlyWhere: OUTSIDE,
    notWhile: [['warm-nights-ahead', 'no night under 10 °C (50 °F) is forecast: keep the cover ready']],
  }),
  remedy('repot-larger', 1, 'this-week', 'Move to a larger pot', 'In the evening, with the root ball intact, and water it in. In midsummer heat wait for a cool spell.', {
    dose: 'bigger-pot',
    notWhile: [HOT],
    onlyWhere: ['pot-could-be-larger'],
  }),
  remedy('add-support', 1, 'today', 'Add support', 'Use a stake, string or cage that can hold the crop. Tie loosely every 20 to 25 cm (8 to 10 in).', { cautions: ['canes'] }),
  remedy('loosen-tie', 1, 'today', 'Loosen the tie', 'Cut it and retie with room for a finger.'),
  remedy('hand-pollinate', 1, 'today', 'Shake the flowers', 'Tap the string or truss late each morning on dry days at 15 to 30 °C (60 to 86 °F).'),
  remedy('harvest-early', 1, 'today', 'Pick at first blush', 'Pick as soon as colour shows. Tomatoes ripen indoors; peppers that have begun to turn ripen in a warm room, green ones stay green.', {
    fruit: true,
    notWhile: [UNSOUND],
    atOnce: true,
  }),
  remedy('water-bath-for-birds', 1, 'today', 'Set out water for birds', 'Birds often peck for water: put a shallow bath nearby.', { cautions: ['bird-bath'] }),
  remedy('net-or-fence', 1, 'this-week', 'Net or fence', 'Use fine, taut mesh that traps nothing.'),
  // 2: cut and pick
  remedy('pick-off-affected-fruit', 2, 'today', 'Pick the damaged fruit', 'It takes water and food from the healthy fruit.', { dose: 'affected', cautions: ['salvage'], fruit: true, atOnce: true }),
  remedy('hand-pick', 2, 'today', 'Pick them off by hand', 'Morning and evening, into soapy water.', { cautions: ['wash-hands'], atOnce: true, againDays: 1 }),
  remedy('water-jet', 2, 'today', 'Rinse them off with water', 'Use a firm jet under the leaves in the morning, three days running.', { notWhile: [WET], atOnce: true, againDays: 1 }),
  remedy('prune-lower-leaves', 2, 'this-week', 'Clear the lowest leaves', 'Remove leaves from the soil up to 30 cm (1 ft), at most half the plant, on a dry day.', {
    dose: 'leaf-budget',
    cautions: ['blades', 'wash-hands'],
    notWhile: [SCALD],
    cuts: true,
  }),
  remedy('remove-suckers', 2, 'this-week', 'Remove low suckers', 'Only those below the first truss.', {
    dose: 'leaf-budget',
    cautions: ['blades'],
    notWhile: [SCALD, ['not-for-suckering', 'a bush tomato or a pepper bears on those shoots']],
    cuts: true,
  }),
  remedy('thin-for-air', 2, 'this-week', 'Thin for air', 'Take out a few leaves from the middle, on a dry day.', { dose: 'leaf-budget', cautions: ['blades', 'wash-hands'], notWhile: [SCALD, HOT], cuts: true }),
  remedy('keep-shading-leaves', 2, 'today', 'Stop thinning, keep the shading leaves', 'Stop cutting. Let one or two suckers in the middle grow over the fruit.', { atOnce: true }),
  remedy('remove-infected-leaves', 2, 'today', 'Remove the spotted leaves', 'On a dry day, worst first. Diseased leaves do not count towards the week’s cuts.', {
    dose: 'third-of-leaf',
    cautions: ['bag', 'blades', 'wash-hands'],
    atOnce: true,
  }),
  // common practice, from memory: what is brown and soft is dead, and fewer roots carry fewer leaves
  remedy(
    'trim-roots-repot',
    2,
    'today',
    'Cut off rotten roots and repot',
    'Cut away roots that are brown and soft, and as large a share of the leaves. Repot into fresh mix, water once, then wait until the top is dry.',
    {
      cautions: ['blades', 'wash-hands'],
      onlyWhere: POTS,
      atOnce: true,
    },
  ),
  remedy('fresh-mix', 4, 'this-week', 'Repot into fresh mix', 'Shake off the old mix, set the plant as deep as before, and water it in without feed.', { onlyWhere: POTS, afterMilder: true }),
  remedy('splint-or-cut-clean', 2, 'today', 'Splint it, or cut it clean', 'You can bind a fresh split within the hour. Cut a torn stub smooth.', { cautions: ['blades'] }),
  remedy('pinch-flowers', 2, 'this-week', 'Pinch the first flowers', 'For two or three weeks, so roots and leaves grow first.'),
  remedy('thin-flowers', 2, 'this-week', 'Thin the flowers', 'Leave what the plant can support.'),
  remedy('top-plant', 2, 'this-week', 'Top the plant', 'Cut two leaves above the last truss that can still ripen.', {
    cautions: ['blades'],
    notWhile: [HOT, ['not-for-suckering', 'a bush tomato stops by itself, and a pepper is pinched only when young']],
  }),
  // 3: feed and amend
  remedy('soil-test', 3, 'this-week', 'Have the soil tested', 'Test for pH, calcium, potassium and salts. Add only what is low.', { cautions: ['lead'] }),
  remedy('pause-feeding', 3, 'today', 'Stop feeding', 'Give no feed for that long. Then start again at half strength, on moist soil.', { dose: 'pause-feed', atOnce: true }),
  remedy('light-feed', 3, 'this-week', 'A light feed', 'Low in nitrogen, at half strength, on moist soil.', { dose: 'light-feed', notWhile: [HOT] }),
  remedy('nitrogen-feed', 3, 'this-week', 'A small nitrogen feed', 'Half the label dose on moist soil, then watch for a week.', {
    dose: 'light-feed',
    notWhile: [['soil-stays-wet', 'the soil stays wet: pale leaves there do not mean hunger'], ['late-season', 'so late a feed makes leaves, not fruit'], HOT],
  }),
  remedy('bloom-feed', 3, 'this-week', 'A bloom feed later', 'Low in nitrogen, once the leaves have paled to a normal green.', { notWhile: [['fed-recently', 'it was fed within two weeks']] }),
  remedy('potassium-feed', 3, 'this-week', 'A potassium feed', 'As the test advises, starting at half strength.', { notWhile: [WET] }),
  remedy('magnesium-feed', 3, 'this-week', 'A magnesium feed', 'Only for this sign: the label dose, once.'),
  remedy('phosphorus-feed', 3, 'this-week', 'A phosphorus feed', 'Only if a test is low and the soil is warm.'),
  remedy('iron-feed', 3, 'this-week', 'An iron feed', 'Chelated iron by the label, after the soil test.'),
  remedy('lime-drench', 3, 'this-week', 'A lime drench, once', 'Stir 15 mL (1 tbsp) of ground garden limestone into 4 L (1 US gal) of water and give the amount shown. Test the soil afterwards.', {
    dose: 'lime-drench',
    cautions: ['lime', 'dust'],
    notWhile: [WET],
    onlyWhere: ['sour-pot'],
  }),
  remedy('gypsum', 3, 'this-week', 'Gypsum, once', 'Adds calcium without raising the pH. By the label, watered in; a feed that contains calcium does the same in a pot.', {
    dose: 'gypsum',
    cautions: ['dust'],
    notWhile: [['sour-pot', 'the pH is low: lime adds calcium and raises it']],
    onlyWhere: ['ph-high', 'container'],
  }),
  remedy('lime-soil', 3, 'season-end', 'Lime the bed by its soil test', 'In autumn, in split doses, as the soil test advises.', {
    cautions: ['lime', 'dust'],
    notWhile: [['ph-high', 'the pH is over 6.8: no lime']],
    onlyWhere: BEDS,
  }),
  remedy('sulfur-soil', 3, 'season-end', 'Add sulfur by a soil test', 'In split doses over months, guided by the test.', { cautions: ['dust'], onlyWhere: BEDS }),
  remedy('compost', 3, 'season-end', 'Compost', 'Spread 2 to 3 cm (1 in) a year on the bed.', { cautions: ['manure'], onlyWhere: BEDS }),
  // 4: soft sprays and helpful insects
  remedy(
    'soap-spray',
    4,
    'tomorrow',
    'Soap spray',
    'Only if water alone did not help. Spray under the leaves, early or on a mild evening, so it dries before night. Follow the label.',
    spraying('soap', ['oil-in-three-days', 'an oil was sprayed within three days: soap would burn the leaves']),
  ),
  remedy(
    'neem-spray',
    4,
    'tomorrow',
    'Neem spray',
    'On a mild evening, away from open flowers, so it dries before night. Follow the label.',
    spraying('neem', ['sulfur-recently', 'sulfur was sprayed within 30 days: oil would burn the leaves'], ['soap-in-three-days', 'soap was sprayed within three days: oil would burn the leaves']),
  ),
  remedy('bt-spray', 4, 'tomorrow', 'BT for small caterpillars', 'It affects only caterpillars, while they are small, and does not burn. In the evening, by the label.', {
    cautions: ['spray'],
    notWhile: [TODAY_ONE],
    sureFrom: KNOWN,
    sprays: 'bt',
  }),
  remedy('bicarbonate-spray', 4, 'tomorrow', 'Bicarbonate spray', 'For powdery mildew: use a ready-made product by the label. Home mixes burn leaves.', spraying('bicarbonate')),
  remedy(
    'sulfur-spray',
    4,
    'tomorrow',
    'Sulfur spray',
    'By the label. Keep oil and sulfur 30 days apart, whichever comes first.',
    spraying('sulfur', ['oil-recently', 'an oil was sprayed within 30 days: sulfur would burn the leaves']),
  ),
  remedy('rinse-off', 4, 'today', 'Rinse the leaves', 'Use clear water in the morning to wash off the residue.'),
  remedy('sticky-trap', 4, 'this-week', 'Hang yellow sticky cards', 'A hand’s width above the plants, to see how many there are. Remove them if they catch birds or bees.'),
  remedy('clear-weeds', 2, 'this-week', 'Clear weeds close by', 'Pull the weeds around the bed, nightshade weeds above all: pests and viruses live on them. Take them away.'),
  remedy('sow-ally-flowers', 4, 'this-week', 'Sow flowers for helpful insects', 'Alyssum, dill or coriander nearby feeds hoverflies and small wasps.'),
  remedy('slug-barrier', 4, 'today', 'Keep slugs off', 'Lay boards to lift in the morning and a dry collar of grit. Water in the morning, not at night.', { cautions: ['bait'] }),
  // 5: strong or final
  remedy('copper-spray', 5, 'tomorrow', 'Copper, only if it spreads', 'Only with this diagnosis, and only if new leaves get spots despite the rest. Follow the label.', {
    ...spraying('copper'),
    cautions: ['spray', 'test-spray', 'copper'],
    afterMilder: true,
  }),
  remedy('remove-plant', 5, 'today', 'Remove the plant', 'With its roots, into a bag. Note where it stood.', {
    cautions: ['bag', 'report'],
    sureFrom: KNOWN,
    atOnce: true,
  }),
  remedy('remove-source', 0, 'today', 'Remove the source', 'First remove straw, hay, manure or compost that may carry weedkiller. If it came by wind, ask who sprayed what.', {
    cautions: ['manure'],
    atOnce: true,
  }),
  remedy('bean-test', 1, 'this-week', 'A bean test', 'Sow three beans in the suspect straw, manure or compost and three in clean mix. Twisted leaves within three weeks mean weedkiller.'),
  remedy('collar', 1, 'today', 'A collar round the stem', 'Put a ring of card or tin round each young plant. Push it 3 cm (1 in) into the soil and leave 5 cm (2 in) above.'),
  remedy('dig-out-roots', 6, 'season-end', 'Dig out all the roots', 'After the harvest, lift every root with a fork and bin it. Do not compost it.', { cautions: ['bag'], onlyWhere: BEDS }),
  remedy('sanitize-tools', 5, 'today', 'Clean tools and hands', 'Soap for hands and 70 % alcohol for blades between plants. For a mosaic virus alcohol is not enough.', {
    cautions: ['blades'],
    atOnce: true,
  }),
  // next season
  remedy('resistant-cultivar', 6, 'season-end', 'Choose a resistant variety', 'Look for the letters on the packet.'),
  remedy('away-from-walnut', 6, 'season-end', 'Grow it away from the walnut', 'Plant well beyond its crown: 15 m (50 ft) from the trunk, more from an old tree. Or use pots, or a raised bed lined against roots.'),
  remedy('rotate', 6, 'season-end', 'Rotate the crop', 'No tomato, pepper, potato or aubergine here next year; three years is better.', { onlyWhere: BEDS }),
  remedy('plant-later', 6, 'season-end', 'Plant out later', 'Wait for soil of 16 °C (60 °F). Tomatoes need nights of 12 to 13 °C (54 to 55 °F), peppers 13 to 15 °C (55 to 59 °F). Late plants catch up.'),
  remedy('wider-spacing', 6, 'season-end', 'Give more room', 'Tomatoes 45 to 60 cm (18 to 24 in), peppers 40 to 50 cm (16 to 20 in).', { onlyWhere: BEDS }),
  remedy('bigger-pot', 6, 'season-end', 'Use a bigger pot next year', 'Tomato: 20 L (5 US gal) or more. Pepper: 10 to 12 L (3 US gal).', { dose: 'bigger-pot', onlyWhere: ['pot-could-be-larger'] }),
  remedy('improve-soil', 6, 'season-end', 'Build up the soil', 'Add compost every year; raise the rows where it stays wet.', { cautions: ['manure'], onlyWhere: BEDS }),
] as const;

/** Code of a remedy. */
export type RemedyCode = (typeof REMEDIES)[number]['code'];
const BY_CODE = new Map<RemedyCode, RemedyRow & { code: RemedyCode }>(REMEDIES.map((r) => [r.code, r]));
/** Returns the row of a remedy. */
export const remedyRow = (code: RemedyCode): RemedyRow & { code: RemedyCode } => must(BY_CODE.get(code));
