/**
 * Measures people claim to help: the evidence, why, and what works instead. Shown once when someone records one, and
 * in the handbook.
 */
export const VERDICTS = ['works', 'partly', 'no-evidence', 'no', 'harmful'] as const;
/** A claim's verdict. */
export type Verdict = (typeof VERDICTS)[number];

/** A garden claim, judged, with what to do instead. */
export interface Claim {
  code: string;
  claim: string;
  verdict: Verdict;
  reason: string;
  /** what to do instead */
  instead: string;
  source: string;
  /** how it is named in a note or as a product */
  named: RegExp;
}

const COMMON = 'common practice';
const row = (
  code: string,
  claim: string,
  verdict: Verdict,
  reason: string,
  instead: string,
  named: RegExp,
  source = COMMON,
): Claim => ({ code, claim, verdict, reason, instead, named, source });

/** Garden claims with verdict, reason and source. */
export const CLAIMS: readonly Claim[] = [
  row(
    'copper-coin',
    'A copper coin or wire in the stem keeps blight away',
    'no',
    'A coin gives off hardly any copper, and none of it reaches a leaf.',
    'Keep leaves dry, mulch against splash, clear the lowest leaves.',
    /\b(coin|penn(y|ies)|copper wire|copper nail)/i,
  ),
  row(
    'sugar',
    'Sugar in the soil sweetens fruit',
    'no',
    'Roots do not take up sugar; it feeds moulds and attracts ants.',
    'Sun, healthy leaves and steady water sweeten fruit.',
    /\bsugar|molasses\b/i,
  ),
  row(
    'baking-soda-soil',
    'Baking soda on the soil sweetens fruit',
    'harmful',
    'It adds sodium and disturbs the pH.',
    'Leave it out. A soil test shows what is missing.',
    /baking soda|bicarbonate of soda/i,
  ),
  row(
    'vinegar',
    'Vinegar water makes soil acid, or fruit sweet',
    'harmful',
    'It lowers the pH for an hour and damages roots for longer.',
    'Sulfur or lime in split doses, guided by a test.',
    /\bvinegar\b/i,
  ),
  row(
    'epsom-sweet',
    'Epsom salt sweetens fruit and greens leaves',
    'no',
    'It is magnesium. It helps only where a test, or pale old leaves with green veins, show a shortage.',
    'Test the soil first.',
    /epsom|magnesium sul(f|ph)ate|bitter salt/i,
  ),
  row(
    'epsom-ber',
    'Epsom salt cures blossom end rot',
    'harmful',
    'Magnesium competes with calcium, and calcium is what the fruit lacks.',
    'Water evenly. Add calcium only if a test or a long-fed pot points to it.',
    /epsom.*(rot|dark end|black end)|(rot|dark end|black end).*epsom/i,
  ),
  row(
    'eggshells',
    'Eggshells at planting prevent blossom end rot',
    'no-evidence',
    'They take years to dissolve, not a season.',
    'Water evenly. Put the shells on the compost.',
    /egg ?shells?/i,
  ),
  row(
    'calcium-leaf',
    'Calcium sprayed on leaves cures blossom end rot',
    'no-evidence',
    'Calcium hardly moves from leaves to fruit.',
    'Water evenly, so the roots can carry it up.',
    /calcium (leaf |foliar )?spray|rot[- ]?stop/i,
  ),
  row(
    'milk-chalk',
    'Milk, chalk or antacid tablets cure blossom end rot',
    'no-evidence',
    'Too little calcium, too late, in the wrong place. Milk also goes sour.',
    'Water evenly.',
    /\b(milk|chalk|antacid)\b/i,
  ),
  row(
    'basil-sweet',
    'Basil beside tomatoes makes them sweeter',
    'no-evidence',
    'No study has shown an effect on the fruit.',
    'Grow it for the kitchen and the bees.',
    /basil/i,
  ),
  row(
    'basil-hornworm',
    'Basil keeps hornworms away',
    'partly',
    'A few studies of egg laying pointed that way, none reliably.',
    'Look under leaves once a week.',
    /basil.*(worm|moth)|(worm|moth).*basil/i,
  ),
  row(
    'marigold',
    'Marigolds drive whitefly off',
    'partly',
    'Limonene from French marigolds slowed glasshouse whitefly in a study.',
    'Plant them early and densely. They prevent; they do not cure.',
    /marigold|tagetes/i,
    'Conboy et al. 2019, PLOS ONE 14',
  ),
  row(
    'drops-burn',
    'Water drops burn leaves in sunshine',
    'no',
    'Not on smooth leaves; a little on hairy ones.',
    'Keep leaves dry to prevent disease, not burns.',
    /drops? burn|burnt? by (water )?drops/i,
    'Egri et al. 2010, New Phytologist 185',
  ),
  row(
    'suckers-more',
    'Removing suckers gives more fruit',
    'partly',
    'You get fewer, earlier, larger and healthier fruits. One plant usually bears less; a closely planted bed bears more.',
    'Choose by your season. The plant’s page shows the trade-off.',
    /sucker.*more fruit/i,
  ),
  row(
    'early-planting',
    'Earlier planting gives earlier fruit',
    'no',
    'Plants set out in the cold stall, and later ones overtake them.',
    'Wait for soil at 16 °C (60 °F) and mild nights.',
    /plant(ed|ing)? early|early planting/i,
  ),
  row(
    'birds-like',
    'Birds peck because they like tomatoes',
    'partly',
    'They are often thirsty.',
    'Put out a bath with fresh water every two days, and pick at first blush.',
    /birds? (like|love)/i,
  ),
  row(
    'one-crop',
    'There is only time for one crop a year',
    'no',
    'A determinate autumn crop fits where the season is long enough.',
    'Count back from the first frost.',
    /one crop a year/i,
  ),
  row(
    'mixing-varieties',
    'Mixing varieties improves fruit set by crossing',
    'no',
    'Flowers pollinate themselves; what matters is movement.',
    'Tap the trusses on dry middays.',
    /cross(ing)? (kinds|varieties)|mix(ed|ing) (kinds|varieties)/i,
  ),
  row(
    'more-feed',
    'More feed gives more fruit',
    'harmful',
    'It gives leaves, and flowers that drop.',
    'Never more than the label says; half of it in heat.',
    /double (dose|feed)|extra feed|more feed/i,
  ),
  row(
    'wilted-thirsty',
    'A limp plant is thirsty',
    'harmful',
    'In wet soil its roots are drowning, and more water can kill it.',
    'Push a finger 5 cm (2 in) into the soil first.',
    /limp.*thirsty|wilt(ed|ing)?.*(thirsty|needs water)/i,
  ),
  row(
    'curl-disease',
    'Curled leaves mean disease',
    'no',
    'The cause is mostly heat, water or pruning. Firm green curled leaves do no harm.',
    'Check the newest leaves: tight, twisted ones are a different problem.',
    /leaf curl|curl(ed|ing) leaves/i,
  ),
  row(
    'split-waste',
    'Split tomatoes must be binned',
    'no',
    'A fresh, dry split that smells sweet is good to eat today.',
    'Smell them. Bin soft, sour or mouldy ones, and never use split fruit for canning.',
    /throw.*split|split.*(thrown?|bin)/i,
  ),
  row(
    'compost-tea',
    'Compost tea on leaves stops disease',
    'no-evidence',
    'Studies disagree, and germs on fruit eaten raw are a risk.',
    'Use it on the soil only, and keep leaves dry to prevent disease.',
    /compost tea/i,
  ),
  row(
    'kitchen-drench',
    'Coffee grounds, urine or dish soap as a regular drench',
    'harmful',
    'They add salts, shift the pH and burn leaves. A little once does no harm.',
    'Compost the grounds, and use a feed by its label.',
    /coffee grounds?|\burine\b|dish soap|washing[- ]?up liquid/i,
  ),
  row(
    'broad-insecticide',
    'A broad-spectrum insecticide clears the bed',
    'harmful',
    'It kills bees on open flowers and the insects that hunt pests, so the pests return first.',
    'Identify the pest, look for its enemies, and use hands and water. Never spray open flowers; follow the label and local rules.',
    /broad[- ]insecticide|bug spray/i,
  ),
  row(
    'probe',
    'A moisture probe tells you when to water',
    'partly',
    'Its reading depends on salts and contact as much as on water.',
    'Use a finger, or lift the pot.',
    /moisture (probe|meter)/i,
  ),
];

/** Returns the claim with this code, or undefined. */
export const claimOf = (code: string): Claim | undefined => CLAIMS.find((c) => c.code === code);

/** Returns the claim a text names, the most specific first; undefined if it names none. */
export function claimIn(text: string): Claim | undefined {
  const named = CLAIMS.filter((c) => c.named.test(text));
  // a claim named by two words is more specific than one named by one of them
  return named.sort((a, b) => b.named.source.length - a.named.source.length)[0];
}

/** Verdicts as shown on screen. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  works: 'It works',
  partly: 'It partly helps',
  'no-evidence': 'No evidence that it helps',
  no: 'Not true',
  harmful: 'Following it does harm',
};
