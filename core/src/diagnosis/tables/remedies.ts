import type { SprayCode } from '../../spray/limits.js';
import type { FactCode } from '../facts.js';

/** How a remedy's dose is worked out; the rules stand in `../remedies/doses.ts`. */
export type DoseKind = 'next-watering' | 'rhythm' | 'hold-water' | 'mulch' | 'shade' | 'flush' | 'pause-feed' | 'light-feed' | 'lime-drench' | 'gypsum' | 'affected' | 'leaf-budget' | 'third-of-leaf' | 'bigger-pot';

/** When it is done: from the day of the question on. */
export type When = 'today' | 'tomorrow' | 'next-watering' | 'this-week' | 'season-end';

export interface RemedyRow {
  code: string;
  rung: 0 | 1 | 2 | 3 | 4 | 5 | 6;
  label: string;
  how: string;
  when: When;
  dose?: DoseKind;
  /** it is a watering, or asks for none: both are the plan's to say when and how much */
  acts?: 'watering' | 'hold-water';
  /** about how long it takes */
  minutes: number;
  /** lines from `cautions.ts` that stand where the act is */
  cautions: readonly CautionCode[];
  /** withheld while this holds, and why */
  notWhile: readonly (readonly [fact: FactCode, because: string])[];
  /** makes sense only where one of these holds; elsewhere it is not spoken of */
  onlyWhere?: readonly FactCode[];
  /** only once the milder steps were judged at their follow-up and were not enough */
  afterMilder?: true;
  /** something is sprayed: one at a time */
  sprays?: SprayCode;
  /** leaf is cut: all that cut share one budget */
  cuts?: true;
  /** is not put off: leaving off what harms, picking, taking out what spreads */
  atOnce?: true;
  /** fruit is handled: the caution of hot peppers stands here */
  fruit?: true;
  /** withheld until the finding is this sure: what cannot be taken back is not done on a guess */
  sureFrom?: number;
}

/** Cautions; each defers to the label, local rules or licensed practice where these decide. */
export const CAUTIONS = {
  spray:
    'Read the label: it is the law in most places, and local rules decide. Gloves, skin and eyes covered, no wind; nothing on open flowers while bees fly; keep children and pets away until dry; none beside a pond; keep the wait before harvest.',
  'test-spray': 'Treat one leaf first and look after 24 hours: in heat or drought, or mixed too strong, it burns leaves.',
  copper: 'Copper builds up in soil and harms water life: stay within the yearly limit on the label. A licence may be needed; ask the local authority.',
  dust: 'Dusty: mask and eye cover, and damp it down.',
  heat: 'Above 32 °C (90 °F) work early or late, with hat, water and pauses.',
  ladder: 'Poles and steps on firm ground, not alone, not in wind.',
  blades: 'Mind eyes and fingers; wipe blades with 70 % alcohol between sick plants.',
  'wash-hands': 'Leaves and stems are poisonous to people and pets in quantity: wash hands afterwards.',
  salvage: 'Soft, sour, leaking or mouldy fruit goes in the bin; damaged fruit is not for canning.',
  bag: 'Bag it; not on the compost.',
  report: 'In some places this must be reported: ask the local plant health service.',
  canes: 'Put caps on cane ends.',
  manure: 'Well rotted only. Hay, straw or manure from sprayed land can carry weedkiller: test with a bean seedling.',
  hot: 'Hot peppers: gloves, nothing near the eyes, air the room when cutting, drying or seeding them; keep them from children.',
  'mosaic-tools': 'Mosaic viruses survive alcohol: a hot soapy wash first, then skimmed milk (one part in five) or diluted bleach; bleach with gloves, never with another cleaner.',
  fouled: 'What was gnawed, or has droppings on it, goes in the bin, all of it; wash hands.',
  bait: 'Bait harms pets, hedgehogs and pond life: leave it, or lock it in; the label and local rules decide.',
  'bird-bath': 'Fresh water every two days.',
  lime: 'Ground garden limestone only, never hydrated or quick lime.',
  lead: 'By roads or old painted walls have the soil tested for lead before growing food.',
} as const;
export type CautionCode = keyof typeof CAUTIONS;

type Extra = Partial<Pick<RemedyRow, 'dose' | 'acts' | 'cautions' | 'notWhile' | 'sureFrom' | 'onlyWhere' | 'afterMilder' | 'sprays' | 'cuts' | 'fruit' | 'atOnce'>>;
/** Minutes that a remedy of a rung takes on one plant, unless its row says otherwise (judgement). */
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

const WET: RemedyRow['notWhile'][number] = ['soil-felt-wet', 'the soil is wet: more water would take the air from the roots'];
const UNSOUND: RemedyRow['notWhile'][number] = ['fruit-not-sound', 'soft, sour, leaking or mouldy fruit is not kept: it goes in the bin'];
const FOULED: RemedyRow['notWhile'][number] = ['fruit-fouled', 'what was gnawed, or has droppings on it, goes in the bin, all of it'];
const SCALD: RemedyRow['notWhile'][number] = ['sunscald-open', 'sun damage is open: every leaf is needed as shade'];
const HOT: RemedyRow['notWhile'][number] = ['hot-now', 'it is 30 °C (86 °F) or more: it waits for a cooler spell'];
const WARM_EVENING: RemedyRow['notWhile'][number] = ['evening-too-warm', 'even the evening stays at 27 °C (81 °F) or more: it would burn the leaves'];
const TODAY_ONE: RemedyRow['notWhile'][number] = ['sprayed-today', 'something was sprayed today: never two on one day'];
const THIRSTY: RemedyRow['notWhile'][number] = ['short-of-water', 'the plant is short of water: sprays burn it now'];
/** Spraying before knowing is the second worst mistake in this job; nine in ten is knowing (judgement). */
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
  remedy('watch-only', 0, 'today', 'Leave it and watch', 'Nothing needs doing. Look again on the day given.'),
  remedy('leave-mummies', 0, 'today', 'Leave the brown swollen ones', 'They hold the next generation of a tiny wasp that hunts aphids.'),
  remedy('leave-cocooned-hornworm', 0, 'today', 'Leave a caterpillar with white grains', 'The grains are cocoons of a wasp that hunts its kind.'),
  remedy('wait-for-cooler', 0, 'today', 'Wait for cooler days', 'Flowers and colour come back by themselves when it cools.'),
  remedy('wait-for-warmth', 0, 'today', 'Wait for warmth', 'Growth and colour come back as soil and nights warm.'),
  remedy('open-vents', 0, 'today', 'Open doors and vents', 'In the morning, before the sun heats the cover, on both ends so that air moves; shut them again for cold nights.', { onlyWhere: ['under-glass'] }),
  remedy('ripen-indoors', 0, 'today', 'Ripen indoors', 'Tomatoes with the first blush ripen at room temperature with nothing lost.', {
    cautions: ['salvage'],
    notWhile: [UNSOUND, FOULED, ['pepper', 'a pepper picked green stays green: leave it on the plant to colour, or eat it green; only one that has begun to turn goes on in a warm room']],
  }),
  remedy('eat-or-trim', 0, 'today', 'Keep what is sound', 'Cut out the damaged part; the rest of firm, sweet-smelling fruit is good to eat. There is no need to throw it away.', {
    cautions: ['salvage'],
    notWhile: [UNSOUND, FOULED],
    fruit: true,
  }),
  // 1: water, cover, handle
  remedy('water-now', 1, 'today', 'Water now', 'Soak slowly, wait ten minutes, soak again.', {
    dose: 'next-watering',
    acts: 'watering',
    notWhile: [WET, ['water-not-known', 'nobody knows what it got: feel the soil first'], ['soil-felt-damp', 'the soil is damp: it is the heat, not thirst']],
  }),
  remedy('even-watering', 1, 'next-watering', 'Water evenly', 'The same amount in the same rhythm, in the morning, so that the root zone neither dries out nor drowns.', {
    dose: 'rhythm',
    acts: 'watering',
    notWhile: [WET],
  }),
  remedy('water-less', 1, 'today', 'Hold the water back', 'No water until the soil is dry at a finger’s depth; empty saucers.', {
    dose: 'hold-water',
    acts: 'hold-water',
    notWhile: [['soil-felt-dry', 'the soil is dry']],
  }),
  remedy('water-at-base', 1, 'next-watering', 'Water at the foot', 'On the soil, not over the leaves, in the morning.'),
  remedy('deep-soak', 1, 'next-watering', 'Soak deeply, less often', 'One long slow watering instead of several short ones, so that roots go down.', {
    dose: 'rhythm',
    acts: 'watering',
    notWhile: [WET],
    onlyWhere: BEDS,
  }),
  remedy('drain-or-mound', 1, 'this-week', 'Help the water away', 'Loosen along the edge, open a furrow to the low side, raise the row with compost. Sand in clay makes it worse.', { onlyWhere: BEDS }),
  remedy('flush-pot', 1, 'today', 'Flush the pot', 'Pour water through slowly in steps and let it run out each time.', { dose: 'flush', notWhile: [WET], onlyWhere: POTS }),
  remedy('splash-barrier', 1, 'this-week', 'Stop the splash', 'Four sheets of plain newspaper, wetted, on the soil; the mulch goes over them.', { onlyWhere: BEDS }),
  remedy('mulch', 1, 'this-week', 'Mulch', 'Straw, leaves or clippings 5 to 8 cm (2 to 3 in) deep, kept off the stem.', { dose: 'mulch', cautions: ['manure'], notWhile: [WET, ['mulched', 'mulch lies there already']] }),
  remedy('shade-cloth', 1, 'today', 'Hang shade cloth', 'Cloth of 30 to 50 % on the west and the side of the midday sun, a hand above the leaves so that air moves.', {
    dose: 'shade',
    cautions: ['ladder', 'heat'],
    notWhile: [['shaded', 'shade hangs there already']],
    onlyWhere: OUTSIDE,
  }),
  remedy('move-to-shade', 1, 'today', 'Move the pot into shade', 'Into shade from early afternoon on; back in the morning.', { onlyWhere: ['portable'] }),
  remedy('frost-cover', 1, 'today', 'Cover against cold nights', 'Fleece or a sheet to the ground by the evening before, off again in the morning.', {
    onlyWhere: OUTSIDE,
    notWhile: [['warm-nights-ahead', 'no night under 10 °C (50 °F) is near: keep the cover at hand']],
  }),
  remedy('repot-larger', 1, 'this-week', 'Move to a larger pot', 'In the evening, root ball whole, watered in. In midsummer heat wait for a cool spell.', {
    dose: 'bigger-pot',
    notWhile: [HOT],
    onlyWhere: ['pot-could-be-larger'],
  }),
  remedy('add-support', 1, 'today', 'Add support', 'Stake, string or cage that carries the crop, tied loosely every 20 to 25 cm (8 to 10 in).', { cautions: ['canes'] }),
  remedy('loosen-tie', 1, 'today', 'Loosen the tie', 'Cut it and tie again with room for a finger.'),
  remedy('hand-pollinate', 1, 'today', 'Shake the flowers', 'Tap string or truss late each morning on dry days at 15 to 30 °C (60 to 86 °F).'),
  remedy('harvest-early', 1, 'today', 'Pick at first blush', 'Pick as soon as colour shows. A tomato goes on ripening indoors; a pepper that has begun to turn does in a warm room, a green one stays green.', {
    fruit: true,
    notWhile: [UNSOUND],
    atOnce: true,
  }),
  remedy('water-bath-for-birds', 1, 'today', 'Set out water for birds', 'Birds often peck for water: a shallow bath near by helps.', { cautions: ['bird-bath'] }),
  remedy('net-or-fence', 1, 'this-week', 'Net or fence', 'Fine, taut mesh that nothing gets caught in.'),
  // 2: cut and pick
  remedy('pick-off-affected-fruit', 2, 'today', 'Pick the damaged fruit', 'It takes water and food from the sound ones.', { dose: 'affected', cautions: ['salvage'], fruit: true, atOnce: true }),
  remedy('hand-pick', 2, 'today', 'Pick them off by hand', 'Morning and evening; into soapy water.', { cautions: ['wash-hands'], atOnce: true }),
  remedy('water-jet', 2, 'today', 'Rinse them off with water', 'A firm jet under the leaves in the morning, three days running.', { notWhile: [WET], atOnce: true }),
  remedy('prune-lower-leaves', 2, 'this-week', 'Clear the lowest leaves', 'From the soil up to 30 cm (1 ft), never above half the plant, on a dry day.', {
    dose: 'leaf-budget',
    cautions: ['blades', 'wash-hands'],
    notWhile: [SCALD],
    cuts: true,
  }),
  remedy('remove-suckers', 2, 'this-week', 'Take out low suckers', 'Only below the first truss.', {
    dose: 'leaf-budget',
    cautions: ['blades'],
    notWhile: [SCALD, ['not-for-suckering', 'a bush tomato or a pepper bears on those shoots']],
    cuts: true,
  }),
  remedy('thin-for-air', 2, 'this-week', 'Thin for air', 'A few leaves from the middle, on a dry day.', { dose: 'leaf-budget', cautions: ['blades', 'wash-hands'], notWhile: [SCALD, HOT], cuts: true }),
  remedy('keep-shading-leaves', 2, 'today', 'Stop thinning, keep the shading leaves', 'No more cuts; let a middle sucker or two grow over the fruit.', { atOnce: true }),
  remedy('remove-infected-leaves', 2, 'today', 'Take off the spotted leaves', 'On a dry day, worst first, up to a third of the leaf at once; sick leaves do not count in the week’s cuts.', {
    dose: 'third-of-leaf',
    cautions: ['bag', 'blades', 'wash-hands'],
    atOnce: true,
  }),
  remedy('splint-or-cut-clean', 2, 'today', 'Splint it, or cut it clean', 'A fresh split can be bound within the hour; a torn stub is cut smooth.', { cautions: ['blades'] }),
  remedy('pinch-flowers', 2, 'this-week', 'Pinch the first flowers', 'For two or three weeks, so that roots and leaves come first.'),
  remedy('thin-flowers', 2, 'this-week', 'Thin the flowers', 'Leave what the plant can carry.'),
  remedy('top-plant', 2, 'this-week', 'Cut the tip', 'Two leaves above the last truss that can still ripen.', {
    cautions: ['blades'],
    notWhile: [HOT, ['not-for-suckering', 'a bush tomato tops itself, and a pepper is not topped']],
  }),
  // 3: feed and amend
  remedy('soil-test', 3, 'this-week', 'Have the soil tested', 'For acidity, calcium, potassium and salts; then add only what is short.', { cautions: ['lead'] }),
  remedy('pause-feeding', 3, 'today', 'Stop feeding', 'No feed at all for so long; then begin again at half strength, on moist soil.', { dose: 'pause-feed', atOnce: true }),
  remedy('light-feed', 3, 'this-week', 'A light feed', 'Low in nitrogen, half strength, on moist soil.', { dose: 'light-feed', notWhile: [HOT] }),
  remedy('nitrogen-feed', 3, 'this-week', 'A small nitrogen feed', 'Half the label dose on moist soil, then watch for a week.', {
    dose: 'light-feed',
    notWhile: [['soil-stays-wet', 'the soil stays wet: pale leaves there are not hunger'], HOT],
  }),
  remedy('bloom-feed', 3, 'this-week', 'A bloom feed later', 'Low nitrogen, once the leaves have paled to a plain green.', { notWhile: [['fed-lately', 'it was fed within two weeks']] }),
  remedy('potassium-feed', 3, 'this-week', 'A potassium feed', 'As the test says, half strength first.', { notWhile: [WET] }),
  remedy('magnesium-feed', 3, 'this-week', 'A magnesium feed', 'Only for this sign; label dose, once.'),
  remedy('phosphorus-feed', 3, 'this-week', 'A phosphorus feed', 'Only when a test is low and the soil is warm.'),
  remedy('iron-feed', 3, 'this-week', 'An iron feed', 'Chelated iron by the label, after the soil test.'),
  remedy('lime-drench', 3, 'this-week', 'A lime drench, once', '15 mL (1 tbsp) of ground garden limestone stirred into 4 L (1 US gal) of water, as much of it as stands here; a soil test afterwards.', {
    dose: 'lime-drench',
    cautions: ['lime', 'dust'],
    notWhile: [WET, ['ph-high', 'the pH is over 6.8: no lime; gypsum brings calcium without it']],
    onlyWhere: POTS,
  }),
  remedy('gypsum', 3, 'this-week', 'Gypsum, once', 'Brings calcium without raising the pH: by the label, watered in.', { dose: 'gypsum', cautions: ['dust'], onlyWhere: ['ph-high'] }),
  remedy('lime-soil', 3, 'season-end', 'Lime the bed by test', 'In autumn, in split doses, as the soil test says.', {
    cautions: ['lime', 'dust'],
    notWhile: [['ph-high', 'the pH is over 6.8: no lime']],
    onlyWhere: BEDS,
  }),
  remedy('sulfur-soil', 3, 'season-end', 'Sulfur the bed by test', 'In split doses over months, by the test.', { cautions: ['dust'], onlyWhere: BEDS }),
  remedy('compost', 3, 'season-end', 'Compost', '2 to 3 cm (1 in) a year on the bed.', { cautions: ['manure'], onlyWhere: BEDS }),
  // 4: soft sprays and allies
  remedy(
    'soap-spray',
    4,
    'tomorrow',
    'Soap spray',
    'Only if water alone did not help: early in the morning or in a mild evening, under the leaves, so that it is dry before night, by the label.',
    spraying('soap', ['oil-in-three-days', 'an oil was sprayed within three days: soap over it burns']),
  ),
  remedy(
    'neem-spray',
    4,
    'tomorrow',
    'Neem spray',
    'In a mild evening, away from open flowers, so that it is dry before night, by the label.',
    spraying('neem', ['sulfur-lately', 'sulfur was sprayed within 30 days: oil over it burns'], ['soap-in-three-days', 'soap was sprayed within three days: oil over it burns']),
  ),
  remedy('bt-spray', 4, 'tomorrow', 'BT for small caterpillars', 'It works on caterpillars while they are small, and on nothing else; it does not burn. In the evening, by the label.', {
    cautions: ['spray'],
    notWhile: [TODAY_ONE],
    sureFrom: KNOWN,
    sprays: 'bt',
  }),
  remedy('bicarbonate-spray', 4, 'tomorrow', 'Bicarbonate spray', 'For powdery mildew: a ready product by the label; home mixes burn.', spraying('bicarbonate')),
  remedy(
    'sulfur-spray',
    4,
    'tomorrow',
    'Sulfur spray',
    'By the label; an oil and sulfur stand 30 days apart, whichever comes first.',
    spraying('sulfur', ['oil-lately', 'an oil was sprayed within 30 days: sulfur over it burns']),
  ),
  remedy('rinse-off', 4, 'today', 'Rinse the leaves', 'Clear water in the morning, to wash the residue off.'),
  remedy('sticky-trap', 4, 'this-week', 'Hang yellow cards', 'A hand above the plants, to see how many there are; take them away once birds or bees get caught.'),
  remedy('sow-ally-flowers', 4, 'this-week', 'Sow flowers for allies', 'Alyssum, dill or coriander near by feed hoverflies and small wasps.'),
  remedy('slug-barrier', 4, 'today', 'Keep slugs off', 'Boards to lift in the morning, a dry collar of grit; water in the morning, not at night.', { cautions: ['bait'] }),
  // 5: strong or final
  remedy('copper-spray', 5, 'tomorrow', 'Copper, only if it climbs', 'Only with this diagnosis, only if new leaves spot in spite of the rest, by the label.', {
    ...spraying('copper'),
    cautions: ['spray', 'test-spray', 'copper'],
    afterMilder: true,
  }),
  remedy('remove-plant', 5, 'today', 'Take the plant out', 'With its roots, into a bag, and note the spot.', {
    cautions: ['bag', 'report'],
    sureFrom: KNOWN,
    atOnce: true,
  }),
  remedy('remove-source', 0, 'today', 'Take the source away', 'Straw, hay, manure or compost that may carry weedkiller comes off the bed first; by the wind, ask who sprayed what.', {
    cautions: ['manure'],
    atOnce: true,
  }),
  remedy('bean-test', 1, 'this-week', 'A bean test', 'Sow three beans in the suspected straw, manure or compost and three in clean mix: twisted leaves within three weeks tell that it carries weedkiller.'),
  remedy('collar', 1, 'today', 'A collar round the stem', 'A ring of card or tin, 3 cm (1 in) in the soil and 5 cm (2 in) above it, round each young plant.'),
  remedy('dig-out-roots', 6, 'season-end', 'Dig out all the roots', 'When it has borne, lift every root with a fork and put them in the bin, not on the compost.', { cautions: ['bag'], onlyWhere: BEDS }),
  remedy('sanitize-tools', 5, 'today', 'Clean tools and hands', 'Soap on hands and 70 % alcohol on blades between plants; for a mosaic virus alcohol is not enough.', {
    cautions: ['blades'],
    atOnce: true,
  }),
  // next season
  remedy('resistant-cultivar', 6, 'season-end', 'Choose a resistant kind', 'Look for the letters on the packet.'),
  remedy('rotate', 6, 'season-end', 'Move the family on', 'No tomato, pepper, potato or aubergine here next year; better for three.', { onlyWhere: BEDS }),
  remedy('plant-later', 6, 'season-end', 'Plant out later', 'Nights that hold 12 to 13 °C (54 to 55 °F), for peppers 13 to 15 °C (55 to 59 °F), and soil of 16 °C (60 °F) first: late plants catch up.'),
  remedy('wider-spacing', 6, 'season-end', 'Give more room', 'Tomatoes 45 to 60 cm (18 to 24 in), peppers 40 to 50 cm (16 to 20 in).', { onlyWhere: BEDS }),
  remedy('bigger-pot', 6, 'season-end', 'A bigger pot next year', 'Tomato 20 L (5 US gal) and more, pepper 10 to 12 L (3 US gal).', { dose: 'bigger-pot', onlyWhere: ['pot-could-be-larger'] }),
  remedy('improve-soil', 6, 'season-end', 'Build the soil', 'Compost every year; raised rows where it stays wet.', { cautions: ['manure'], onlyWhere: BEDS }),
] as const;

export type RemedyCode = (typeof REMEDIES)[number]['code'];
const BY_CODE = new Map<RemedyCode, RemedyRow & { code: RemedyCode }>(REMEDIES.map((r) => [r.code, r]));
export const remedyRow = (code: RemedyCode): RemedyRow & { code: RemedyCode } => BY_CODE.get(code)!;
