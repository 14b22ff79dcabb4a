import type { Crop } from '../plant.js';
import { must } from '../../units/lists.js';

/** The parts of a plant, from the soil up. */
export const PARTS = ['soil', 'low-leaves', 'stem', 'leaves', 'tip', 'flowers', 'fruit', 'posture'] as const;
/** Part of a plant. */
export type Part = (typeof PARTS)[number];

/**
 * What a sign does: `sign` is evidence for problems; `setting` says where, how fast and after what; `salvage` decides
 * what may still be eaten.
 */
type SignKind = 'sign' | 'setting' | 'salvage';

/** Chance of seeing a sign for no listed reason. Judgement: how often gardeners meet it on healthy plants. */
const LEAK = {
  common: 0.05,
  uncommon: 0.02,
  rare: 0.005,
  telling: 0.001,
  // a creature that someone recognised is there: taken for another once in many thousand plants
  recognised: 0.00002,
} as const;

/** A sign: what a person sees, on which part, and how common it is on healthy plants. */
export interface SignRow {
  code: string;
  parts: readonly Part[];
  leak: number;
  label: string;
  line: string;
  kind: SignKind;
  /** seen on this crop only */
  crop?: Crop;
  /** something a gardener counts: "5 of 12" */
  counted?: boolean;
}

type Extra = Partial<Pick<SignRow, 'kind' | 'crop' | 'counted'>>;
const row = <C extends string>(code: C, parts: Part | readonly Part[], leak: keyof typeof LEAK, label: string, line: string, extra: Extra = {}): SignRow & { code: C } => ({
  code,
  parts: typeof parts === 'string' ? [parts] : parts,
  leak: LEAK[leak],
  label,
  line,
  kind: 'sign',
  ...extra,
});

const T = { crop: 'tomato' } as const;
const P = { crop: 'pepper' } as const;
const C = { counted: true } as const;
const setting = { kind: 'setting' } as const;
const LEAVES = ['low-leaves', 'leaves'] as const;

/** Every sign: what a person can see, feel or smell. Our wording; fixed meanings. */
export const SIGNS = [
  // fruit
  row('fruit-blossom-end-dark', 'fruit', 'rare', 'Dark patch at the bottom', 'A dark, leathery or sunken patch at the end away from the stem; on a pepper also low on the side.', C),
  row('fruit-ring-cracks', 'fruit', 'rare', 'Rings of cracks round the stem', 'Cracks that circle the stem scar.', C),
  row('fruit-radial-cracks', 'fruit', 'rare', 'Splits down from the stem', 'Splits that run from the stem end down the side.', C),
  row('fruit-burst', 'fruit', 'rare', 'Burst skin elsewhere', 'Skin torn open anywhere else, often at the bottom, with flesh showing.', C),
  row('fruit-pale-papery-patch', 'fruit', 'rare', 'Pale papery patch', 'A white, yellow or tan patch, blistered at first, later flat and papery.', C),
  row('fruit-patch-sun-side', 'fruit', 'uncommon', 'Patch faces the sun', 'The damage is on the side facing the sun.'),
  row('fruit-patch-mould', 'fruit', 'rare', 'Mould on the patch', 'Black or grey mould growing on a damaged patch.'),
  row('fruit-scarred-misshapen', 'fruit', 'rare', 'Folded and scarred', 'Folded, puckered fruit with corky scars at the blossom end.', C),
  row('fruit-zipper-scar', 'fruit', 'telling', 'A stitched brown line', 'A thin stitched brown line from the stem to the blossom end.', C),
  row('fruit-green-shoulders', 'fruit', 'rare', 'Hard green shoulders', 'Hard green or yellow shoulders on otherwise ripe fruit.', C),
  row('fruit-blotchy', 'fruit', 'rare', 'Blotchy, hard areas', 'Grey, yellow or white hard areas in the wall of ripening fruit.', C),
  row('fruit-cork-lines', 'fruit', 'telling', 'Fine corky lines', 'Fine tan stretch lines along firm, healthy fruit.', P),
  row('fruit-dark-flush', 'fruit', 'rare', 'Purple or black flush', 'Purple or black flush on healthy skin.'),
  row('fruit-deep-hole', 'fruit', 'telling', 'A hole into the fruit', 'A round hole into the fruit, often by the stem, with droppings inside.', C),
  row('fruit-chewed', 'fruit', 'rare', 'Chewed open', 'Flesh chewed away in open patches.', C),
  row('fruit-pecked', 'fruit', 'rare', 'Pecked', 'Small V-shaped or round pecks in ripe fruit.', C),
  row('fruit-gnawed-or-gone', 'fruit', 'rare', 'Gnawed or gone', 'Tooth marks, or fruit half eaten or carried off.', C),
  row('fruit-slime', 'fruit', 'telling', 'Dried slime', 'Dried slime on or near the damage.'),
  row('fruit-cloudy-spots', 'fruit', 'rare', 'Cloudy pinpricks', 'Pale cloudy pinpricks under the skin.', C),
  row('fruit-sunken-round-spots', 'fruit', 'rare', 'Round sunken spots', 'Round, sunken, water-soaked spots on ripe fruit.', C),
  row('fruit-brown-greasy', 'fruit', 'rare', 'Firm brown greasy blotches', 'Firm, brown, greasy-looking blotches.', C),
  row('fruit-small-raised-specks', 'fruit', 'rare', 'Small raised specks', 'Many small raised dark or scabby specks.', C),
  row('fruit-ring-pattern', 'fruit', 'telling', 'Pale rings', 'Pale rings or ring-shaped blotches on the fruit.', C),
  row('fruit-soft-sour', 'fruit', 'rare', 'Soft, leaking or sour', 'Soft, leaking or sour-smelling.', {
    kind: 'salvage',
    counted: true,
  }),
  row('fruit-watery-bland', 'fruit', 'rare', 'Watery and bland', 'Mild, watery taste.'),
  row('fruit-sharp-taste', 'fruit', 'rare', 'Tastes sharp', 'Firm, healthy fruit that tastes sharper or more sour than usual.'),
  row('fruit-very-hot', 'fruit', 'rare', 'Hotter than usual', 'A pepper that is clearly hotter than usual for its variety.', { crop: 'pepper' }),
  row('fruit-slow-to-colour', 'fruit', 'uncommon', 'Colouring has stalled', 'Full-sized fruit that stops colouring.'),
  row('fruit-ghost-rings', 'fruit', 'telling', 'Pale ghost rings', 'Faint pale rings with a pinpoint in the middle, on healthy skin.', C),
  row('fruit-birds-eye-spots', 'fruit', 'telling', 'Bird’s-eye spots', 'Small raised brown spots, each with a white halo.', C),
  row('fruit-shoulder-pinholes', 'fruit', 'telling', 'Pinholes at the shoulder', 'Holes no wider than a pin, at the stem end or under the calyx.', C),
  row('fruit-grubs-inside', 'fruit', 'telling', 'Grubs inside', 'Small pale grubs in the flesh or among the seeds of a cut fruit.', C),
  row('fruit-droppings-on-bites', 'fruit', 'rare', 'Droppings on the bites', 'Droppings on or beside pecked or gnawed fruit.'),
  row('fruit-hollow-few-seeds', 'fruit', 'rare', 'Hollow, few seeds', 'Flat-sided, light fruit with hollow chambers and few seeds; a pepper stays small.', C),
  row('fruit-sprouting-seeds', 'fruit', 'telling', 'Seeds sprouting inside', 'White sprouts among the seeds of a ripe fruit.'),
  row('fruit-gold-flecks', 'fruit', 'telling', 'Fine gold flecks', 'Fine yellow or gold flecks in the skin, mostly at the shoulder.', C),
  // flowers and young fruit
  row('flower-drop', 'flowers', 'uncommon', 'Flowers drop', 'Flower stalks yellow at the joint and drop without setting.', C),
  row('flower-dry', 'flowers', 'rare', 'Flowers dry up', 'Flowers dry up on the plant.', C),
  row('flower-many-open', 'flowers', 'uncommon', 'Very many open at once', 'Far more open flowers than a plant of this size can support.'),
  row('flower-few', 'flowers', 'rare', 'Few or no flowers', 'Few or no flowers on a plant old enough to flower.'),
  row('flower-tiny-insects', 'flowers', 'rare', 'Tiny insects inside', 'Slender or dot-like insects inside the flowers.'),
  row('flower-still-air', 'flowers', 'uncommon', 'No wind or bees', 'Under cover or in still air: neither wind nor bees reach the flowers.', setting),
  row('flower-bud-holes', 'flowers', 'telling', 'Buds with a hole', 'Fallen buds or tiny fruit with a pinhole in them.', { ...P, counted: true }),
  row('fruitlet-drop', 'flowers', 'rare', 'Tiny fruit drops', 'Pea-sized fruit drops.', C),
  // leaves: posture
  row('leaf-wilt', 'posture', 'uncommon', 'Drooping leaves', 'Leaves limp and hanging.'),
  row('leaf-wilt-midday-only', 'posture', 'uncommon', 'Drooping at midday only', 'Drooping in heat, firm again by evening or next morning.'),
  row('leaf-wilt-at-dawn', 'posture', 'rare', 'Still drooping at dawn', 'Still drooping early in the morning.'),
  row('leaf-recovers-after-water', 'posture', 'rare', 'Firm an hour after watering', 'Firm within about an hour of watering.'),
  row('leaf-no-recovery-after-water', 'posture', 'rare', 'Still drooping after water', 'Still drooping an hour or more after a thorough watering.'),
  row('leaf-wilt-one-side', 'posture', 'rare', 'Drooping on one side', 'Only one side of the leaf or plant is drooping.'),
  row('leaf-roll-up', LEAVES, 'uncommon', 'Rolled upward, firm', 'Edges rolled upward lengthwise, leaf firm or leathery, normal colour.'),
  row('leaf-curl-down', 'leaves', 'uncommon', 'Gently curled under', 'A gentle, even downward or under curl.'),
  row('leaf-curl-tight-new', 'tip', 'rare', 'New leaves tightly curled', 'Newest leaves tightly curled, puckered or stunted.'),
  row('leaf-strap-twist', 'tip', 'telling', 'Narrow and twisted', 'Narrow, twisted, fern-like or strap-like new leaves.'),
  row('leaf-cup-yellow-edge', 'tip', 'telling', 'Small cups with yellow edges', 'Small, cupped leaves with yellow edges; plant stunted.'),
  row('leaf-bubbled', 'leaves', 'rare', 'Blistered surface', 'Blistered, puckered surface.'),
  row('leaf-corky-bumps', 'leaves', 'rare', 'Corky bumps underneath', 'Small corky or watery bumps under the leaf.'),
  // leaves: colour
  row('leaf-yellow-slow-few', 'low-leaves', 'uncommon', 'A few old leaves yellowing', 'A few of the oldest leaves yellowing slowly.', C),
  row('leaf-yellow-fast', 'low-leaves', 'uncommon', 'Yellowing and dropping fast', 'Lower leaves yellowing and dropping quickly.', C),
  row('leaf-yellow-whole-old', 'low-leaves', 'rare', 'Older leaves pale all over', 'Whole older leaves evenly pale, plant light green.', C),
  row('leaf-yellow-between-veins-old', 'low-leaves', 'rare', 'Old leaves yellow between veins', 'Older leaves yellow between green veins.'),
  row('leaf-yellow-between-veins-new', 'tip', 'telling', 'New leaves yellow between veins', 'The newest leaves yellow between green veins.'),
  row('leaf-yellow-mushy', LEAVES, 'rare', 'Yellow and soggy', 'Yellow leaves, soft and soggy.'),
  row('leaf-yellow-crisp', LEAVES, 'rare', 'Yellow and crisp', 'Yellow leaves, dry and crisp.'),
  row('leaf-yellow-patches', 'leaves', 'uncommon', 'Scattered yellow blotches', 'Scattered yellow blotches, often in mid-leaf.'),
  row('leaf-yellow-one-side', 'leaves', 'telling', 'Yellow on one side', 'Yellowing on one side of the leaf or plant.'),
  row('leaf-edge-brown-old', 'low-leaves', 'rare', 'Old leaves scorched at the edge', 'Brown, scorched edges on older leaves.'),
  row('leaf-scorch-one-side', LEAVES, 'telling', 'Scorched edges on one side', 'Leaf edges brown and rolled on one side of the leaf or plant, with streaks or cankers on the stem.'),
  row('leaf-tip-burn', ['leaves', 'tip'], 'rare', 'Burnt tips and edges', 'Brown, shrivelled tips and edges, worst on the newest or on all leaves.'),
  row('leaf-bleached-patches', 'leaves', 'rare', 'Bleached dry patches', 'Pale, dry patches where the sun hits.'),
  row('leaf-purple-under', LEAVES, 'uncommon', 'Purple underneath', 'Purple undersides or veins.'),
  row('leaf-dark-lush', 'leaves', 'uncommon', 'Very dark and lush', 'Very dark, lush growth.'),
  row('leaf-mottle', ['leaves', 'tip'], 'rare', 'Light and dark mosaic', 'Mosaic of light and dark green.'),
  row('leaf-bronze-rings', ['leaves', 'tip'], 'telling', 'Bronze flecks or rings', 'Bronze flecks or rings on young leaves.'),
  row('leaf-purple-veins-rolled', ['leaves', 'tip'], 'telling', 'Rolled, stiff, purple veins', 'Leaves rolled up, thick and stiff, dull yellow with purple veins.'),
  row('leaf-bronzed-under', 'tip', 'telling', 'Bronzed, hardened undersides', 'Bronzed, russet, hardened undersides, newest leaves worst.'),
  row('leaf-blackened-soft', ['leaves', 'tip'], 'telling', 'Blackened and limp', 'Blackened, water-soaked and limp after a cold night.'),
  // leaves: spots, holes, coatings
  row('leaf-target-spots', LEAVES, 'rare', 'Brown spots with rings', 'Brown spots with rings inside, often with a yellow halo.', C),
  row('leaf-small-grey-spots', LEAVES, 'rare', 'Many small grey spots', 'Many small round spots with a pale centre, dark rim and tiny black dots inside.', C),
  row('leaf-greasy-blotches', LEAVES, 'telling', 'Large greasy blotches', 'Large grey-green to brown water-soaked blotches.', C),
  row('leaf-white-fuzz-under', LEAVES, 'telling', 'White fuzz underneath', 'White fuzz at the blotch edge underneath, in damp weather.'),
  row('leaf-olive-mould-under', LEAVES, 'telling', 'Olive mould underneath', 'Olive or grey mould underneath, pale yellow patch above.', C),
  row('leaf-white-powder', LEAVES, 'rare', 'White powder', 'White powdery film.', C),
  row('plant-grey-fur', ['leaves', 'stem', 'flowers', 'fruit'], 'telling', 'Grey fluff', 'Grey-brown fluff that dusts when touched, on leaf, stem, flower or fruit.', C),
  row('leaf-small-dark-spots', LEAVES, 'rare', 'Small dark greasy spots', 'Small dark angular or greasy spots, often with a yellow halo.', C),
  row('leaf-frogeye-spots', LEAVES, 'telling', 'Spots like an eye', 'Round spots with a pale centre and a dark rim, like an eye.', C),
  row('leaf-powder-below', LEAVES, 'telling', 'Yellow above, powder below', 'Yellow blotches above, with white powder underneath in the same place.', C),
  row('leaf-stipple', 'leaves', 'rare', 'Fine pale dots', 'Fine pale dots.'),
  row('leaf-webbing', ['leaves', 'tip'], 'telling', 'Fine webbing', 'Fine webbing.'),
  row('leaf-silver-streaks', 'leaves', 'telling', 'Silver scrapes', 'Silvery scrapes with black specks.'),
  row('leaf-sticky', 'leaves', 'rare', 'Sticky or sooty', 'Sticky or sooty film.'),
  row('leaf-sugar-grains', LEAVES, 'telling', 'Grains like sugar', 'White, sugar-like grains under the leaves, with flat, scale-like young insects.'),
  row('leaf-shot-holes', 'leaves', 'rare', 'Pinhead holes', 'Many pinhead holes.'),
  row('leaf-large-missing', ['leaves', 'tip'], 'telling', 'Eaten to the stalk', 'Leaflets or whole tops eaten to the stalk.'),
  row('leaf-ragged-holes', LEAVES, 'uncommon', 'Ragged holes', 'Irregular holes between veins.'),
  row('leaf-droppings', 'leaves', 'rare', 'Dark droppings', 'Dark droppings on leaves or soil.'),
  row('leaf-mines', 'leaves', 'telling', 'Winding pale trails', 'Pale winding trails in the leaf.', C),
  row('leaf-blotch-mines', 'leaves', 'telling', 'Broad pale mines', 'Broad, see-through blotches inside the leaf, with a small caterpillar or its droppings.', C),
  row('leaf-torn-exposed', 'leaves', 'uncommon', 'Torn where exposed', 'Tears, breaks or bruises, only on exposed or brushed-against leaves.'),
  // creatures seen
  row('pest-aphids', ['tip', 'leaves'], 'recognised', 'Clusters of small soft insects', 'Aphids: small, soft, pear-shaped insects in clusters.', C),
  row('pest-aphid-mummies', 'leaves', 'recognised', 'Brown, swollen aphids', 'Aphid mummies: brown, swollen and still, because tiny wasps got them.'),
  row('pest-ants', 'stem', 'uncommon', 'Ants up and down', 'Ants running up and down the stem.'),
  row('pest-whitefly', 'leaves', 'recognised', 'White flies when shaken', 'Small white insects that fly up when the plant is shaken.', C),
  row('pest-mites', ['tip', 'leaves'], 'recognised', 'Moving dots under a lens', 'Mites: moving dots under a lens.'),
  row('pest-thrips', ['flowers', 'leaves'], 'recognised', 'Slender moving slivers', 'Thrips: slender insects no longer than a pen stroke is wide.'),
  row('pest-hornworm', 'leaves', 'recognised', 'Large horned caterpillar', 'Large green caterpillar with one horn.', C),
  row('pest-hornworm-cocoons', 'leaves', 'recognised', 'Caterpillar with white grains', 'White rice-like cocoons on a caterpillar’s back.'),
  row('pest-caterpillar', ['leaves', 'fruit'], 'recognised', 'Another caterpillar', 'A caterpillar without a horn.', C),
  row('pest-flea-beetle', 'leaves', 'recognised', 'Tiny jumping beetles', 'Tiny dark beetles that jump.', C),
  row('pest-slug', ['soil', 'low-leaves'], 'recognised', 'Slug or snail', 'A slug or snail.', C),
  row('pest-stink-bug', ['fruit', 'leaves'], 'recognised', 'Shield-shaped bug', 'Shield-shaped bug.', C),
  row('pest-potato-beetle', 'leaves', 'recognised', 'Striped beetles or humped grubs', 'Striped beetles, orange eggs in clusters, or plump humped red grubs.', C),
  row('pest-fungus-gnats', 'soil', 'recognised', 'Small flies over wet soil', 'Small dark flies over wet soil.'),
  row('pest-none-found', ['leaves', 'tip', 'flowers', 'fruit'], 'common', 'No insects found', 'You looked carefully, undersides too, and found none.', setting),
  // stem, root, whole plant
  row('stem-leggy', ['stem', 'posture'], 'rare', 'Thin, stretched, pale', 'Thin, stretched, pale stem.'),
  row('stem-broken', 'stem', 'rare', 'Snapped or split', 'Snapped or split stem or branch.'),
  row('stem-dark-lesions', 'stem', 'rare', 'Dark patches on the stem', 'Dark patches on stem or leaf stalk.'),
  row('stem-brown-inside', 'stem', 'telling', 'Brown streaks inside', 'Brown streaks under the skin of a cut lower stem.'),
  row('stem-ooze', 'stem', 'telling', 'Milky threads in water', 'Milky threads from a cut stem in water.'),
  row('stem-collar-rot', 'stem', 'telling', 'Rotten at the soil line', 'Brown, pinched or rotten stem at the soil line.'),
  row('stem-dark-band', 'stem', 'telling', 'A dark band at the soil line', 'A dark, wet-looking band round the stem at the soil line or where it forks.'),
  row('stem-collar-threads', 'stem', 'telling', 'White threads, mustard-like grains', 'White threads at the collar and on the soil, with round brown grains like mustard seed.'),
  row('stem-white-fur', 'stem', 'telling', 'White fluff, black grains', 'White fluff on a bleached stem, with hard black grains in it.'),
  row('stem-bronzed-upward', ['stem', 'low-leaves'], 'telling', 'Bronzed from the bottom up', 'Stem and leaves bronzed and greasy-looking, from the bottom up.'),
  row('stem-cut-at-soil', 'stem', 'telling', 'Cut off at the soil', 'A young stem bitten through at the soil, the top lying beside it.'),
  row('stem-root-bumps', 'stem', 'telling', 'Pale bumps low on the stem', 'Pale bumps along the lower stem.', T),
  row('stem-tie-cutting', 'stem', 'telling', 'A tie cuts in', 'A tie cuts into the stem.'),
  row('root-brown-slimy', 'soil', 'rare', 'Brown slimy roots', 'Brown, soft, slimy roots.'),
  row('root-sour-smell', 'soil', 'telling', 'Roots smell rotten', 'Rotten-egg smell from the root ball.'),
  row('root-white-firm', 'soil', 'common', 'White firm roots', 'White, firm roots: healthy.', setting),
  row('root-knots', 'soil', 'telling', 'Knots on the roots', 'Swellings along the roots.'),
  row('root-circling', 'soil', 'uncommon', 'Roots circle the pot', 'Roots packed and circling the pot.'),
  row('plant-stunted', 'posture', 'uncommon', 'Far too small', 'Much smaller than the plants beside it, or than it should be.'),
  row('plant-flopping', 'posture', 'rare', 'Falls over', 'Falls over or pulls at its support.'),
  row('plant-dense', 'posture', 'uncommon', 'Very bushy', 'So bushy that light and air do not get in.'),
  row('plant-leaves-touch-soil', 'low-leaves', 'common', 'Leaves touch the soil', 'Leaves rest on or nearly touch the soil.'),
  row('plant-no-new-growth', ['tip', 'posture'], 'rare', 'Has stopped growing', 'Has stopped growing.'),
  row('plant-shoots-bitten', ['tip', 'posture'], 'rare', 'Shoots bitten off high up', 'Whole shoots or tops bitten or torn off, higher than any snail reaches.'),
  row('plant-walnut-near', 'posture', 'common', 'A walnut nearby', 'A walnut tree within one and a half times the spread of its crown, or its chips, leaves or roots.', setting),
  // soil and pot
  row('soil-dry-deep', 'soil', 'uncommon', 'Dry at a finger’s depth', 'Dry at about 5 cm (2 in), the second knuckle.'),
  row('soil-damp-deep', 'soil', 'common', 'Damp at a finger’s depth', 'Damp at about 5 cm (2 in), the second knuckle.'),
  row('soil-wet-deep', 'soil', 'uncommon', 'Wet at a finger’s depth', 'Wet at about 5 cm (2 in), the second knuckle.'),
  row('soil-pooling', 'soil', 'rare', 'Water stands on the surface', 'Water stands on the surface.'),
  row('soil-pulls-from-pot', 'soil', 'rare', 'Gap at the pot wall', 'The soil has shrunk away from the pot wall.'),
  row('soil-white-crust', 'soil', 'rare', 'White crust', 'White salt crust on the soil.'),
  row('soil-bare', 'soil', 'common', 'Bare soil', 'No mulch.', setting),
  row('pot-light', 'soil', 'uncommon', 'Pot feels light', 'Lifted and compared: light.'),
  row('pot-heavy', 'soil', 'uncommon', 'Pot feels heavy', 'Lifted and compared: heavy.'),
  // where on the plant, where in the garden, how fast, after what
  row('where-lower-leaves', 'low-leaves', 'common', 'On the lower leaves', 'It is on the lower leaves.', setting),
  row('where-new-growth', 'tip', 'common', 'On the newest growth', 'It is on the newest growth.', setting),
  row('where-whole-plant', 'posture', 'common', 'On the whole plant', 'It is on the whole plant.', setting),
  row('where-exposed-side', 'leaves', 'common', 'On the exposed side', 'It is on the exposed side.', setting),
  row('where-first-fruits', 'fruit', 'common', 'On the first fruits', 'It is on the earliest trusses or fruits.', setting),
  row('spread-one-plant', 'posture', 'common', 'This plant only', 'Only this plant shows it.', setting),
  row('spread-some-plants', 'posture', 'common', 'Some plants', 'Some plants show it.', setting),
  row('spread-whole-bed', 'posture', 'common', 'The whole bed', 'The whole bed shows it.', setting),
  row('spread-also-other-crops', 'posture', 'uncommon', 'Other crops too', 'Other crops show it too.', setting),
  row('pace-overnight', 'posture', 'common', 'Overnight', 'It appeared overnight.', setting),
  row('pace-days', 'posture', 'common', 'Within days', 'It appeared within days.', setting),
  row('pace-weeks', 'posture', 'common', 'Over weeks', 'It appeared over weeks.', setting),
  row('pace-spreading-upward', LEAVES, 'uncommon', 'Spreading upwards', 'It spreads from the bottom up.', setting),
  row('after-transplanting', 'posture', 'common', 'After planting out', 'It began after planting out.', setting),
  row('after-rain', 'posture', 'common', 'After rain', 'It began after rain.', setting),
  row('after-heat', 'posture', 'common', 'After heat', 'It began after heat.', setting),
  row('after-cold-night', 'posture', 'common', 'After a cold night', 'It began after a cold night.', setting),
  row('after-spraying', 'posture', 'rare', 'After spraying', 'It began after spraying.', setting),
  row('after-pruning', 'posture', 'common', 'After pruning', 'It began after pruning.', setting),
] as const;

/** Code of a sign. */
export type SignCode = (typeof SIGNS)[number]['code'];
/** Codes of all signs. */
export const SIGN_CODES: readonly SignCode[] = SIGNS.map((s) => s.code);

const BY_CODE = new Map<string, SignRow & { code: SignCode }>(SIGNS.map((s) => [s.code, s]));
/** Returns the row of a sign. */
export const signRow = (code: SignCode): SignRow & { code: SignCode } => must(BY_CODE.get(code));

/** Families of signs that say where, how far, how fast or after what. */
const CIRCUMSTANCES = ['where', 'spread', 'pace', 'after'] as const;

/**
 * True for where, how far, how fast or after what: a circumstance says that something is wrong, though not what; so
 * does still air at the flowers, which no one reports if they set. The other settings (bare soil, no insects found,
 * healthy roots) do not.
 */
export const isCircumstance = (sign: SignCode): boolean => CIRCUMSTANCES.some((family) => sign.startsWith(`${family}-`)) || sign === 'flower-still-air';

/** Families of signs that tell the state of the soil or pot, not of the plant. */
const OF_THE_SOIL = ['soil', 'pot'] as const;
/** A sign of how the plant stands, which healthy ones show as well. */
const STANDS_SO: ReadonlySet<SignCode> = new Set<SignCode>(['plant-leaves-touch-soil']);

/**
 * True for what is wrong with the plant or sits on it. The state of the soil, a place on the plant, a pace or a
 * circumstance is none: alone it is no finding.
 * @example isSymptom('leaf-wilt') // true
 * @example isSymptom('soil-wet-deep') // false
 */
export const isSymptom = (sign: SignCode): boolean => signRow(sign).kind !== 'setting' && !STANDS_SO.has(sign) && !OF_THE_SOIL.some((family) => sign.startsWith(`${family}-`));

/** Signs of which at most one can be true on one day: seeing one rules the others out. */
const ONE_OF: readonly (readonly SignCode[])[] = [
  ['soil-dry-deep', 'soil-damp-deep', 'soil-wet-deep'],
  ['pot-light', 'pot-heavy'],
  ['leaf-recovers-after-water', 'leaf-no-recovery-after-water'],
  ['leaf-wilt-midday-only', 'leaf-wilt-at-dawn'],
  ['root-white-firm', 'root-brown-slimy'],
  ['flower-many-open', 'flower-few'],
];

/** Returns what else is absent when a sign is present. */
export function impliedAbsent(sign: SignCode): SignCode[] {
  if (sign === 'pest-none-found') return SIGN_CODES.filter((c) => (c.startsWith('pest-') && c !== sign) || c === 'flower-tiny-insects');
  return ONE_OF.filter((g) => g.includes(sign)).flatMap((g) => g.filter((c) => c !== sign));
}
