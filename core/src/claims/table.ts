/** Measures that are claimed to help: what is known of each, why, and what does the job. Told once when somebody logs one, and to be looked up. */
export const VERDICTS = ['works', 'partly', 'no-evidence', 'no', 'harmful'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface Claim {
  code: string;
  claim: string;
  verdict: Verdict;
  reason: string;
  /** what to do instead */
  instead: string;
  source: string;
  /** how it is named in a note, or as a product */
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

export const CLAIMS: readonly Claim[] = [
  row(
    'copper-coin',
    'A copper coin or wire in the stem keeps blight away',
    'no',
    'A coin hardly gives off copper, and what it gives never reaches a leaf.',
    'Keep leaves dry, mulch against splash, clear the lowest leaves.',
    /\b(coin|penn(y|ies)|copper wire|copper nail)/i,
  ),
  row(
    'sugar',
    'Sugar in the soil sweetens fruit',
    'no',
    'Roots do not take sugar up; it feeds moulds and draws ants.',
    'Sun, a sound leaf, and steady water sweeten fruit.',
    /\bsugar|molasses\b/i,
  ),
  row(
    'baking-soda-soil',
    'Baking soda on the soil sweetens fruit',
    'harmful',
    'It brings sodium and throws the pH about.',
    'Leave it; a soil test says what is short.',
    /baking soda|bicarbonate of soda/i,
  ),
  row(
    'vinegar',
    'Vinegar water makes soil sour, or fruit sweet',
    'harmful',
    'It lowers the pH for an hour and burns roots for longer.',
    'Sulfur or lime by a test, in parts.',
    /\bvinegar\b/i,
  ),
  row(
    'epsom-sweet',
    'Epsom salt sweetens fruit and greens leaves',
    'no',
    'It is magnesium, which helps only where a test or pale old leaves with green veins show it short.',
    'A soil test first.',
    /epsom|magnesium sul(f|ph)ate|bitter salt/i,
  ),
  row(
    'epsom-ber',
    'Epsom salt cures dark ends',
    'harmful',
    'Magnesium keeps calcium out, and calcium is what the fruit lacks.',
    'Even water; calcium only where a test or a long-fed pot points to it.',
    /epsom.*(rot|dark end|black end)|(rot|dark end|black end).*epsom/i,
  ),
  row(
    'eggshells',
    'Eggshells at planting prevent dark ends',
    'no-evidence',
    'They dissolve over years, not in a season.',
    'Even water; shells are fine in the compost.',
    /egg ?shells?/i,
  ),
  row(
    'calcium-leaf',
    'Calcium sprayed on leaves cures dark ends',
    'no-evidence',
    'Calcium hardly moves from leaf to fruit.',
    'Even water, so that the roots carry it.',
    /calcium (leaf |foliar )?spray|rot[- ]?stop/i,
  ),
  row(
    'milk-chalk',
    'Milk, chalk or antacid tablets cure dark ends',
    'no-evidence',
    'Too little calcium, too late, in the wrong place; milk sours.',
    'Even water.',
    /\b(milk|chalk|antacid)\b/i,
  ),
  row(
    'basil-sweet',
    'Basil beside tomatoes makes them sweeter',
    'no-evidence',
    'Nothing was shown that reaches the fruit.',
    'Plant it for the kitchen and for bees.',
    /basil/i,
  ),
  row(
    'basil-hornworm',
    'Basil keeps hornworms away',
    'partly',
    'A few trials on egg laying went that way, none reliably.',
    'Look under leaves once a week.',
    /basil.*(worm|moth)|(worm|moth).*basil/i,
  ),
  row(
    'marigold',
    'Marigolds drive whitefly off',
    'partly',
    'Limonene from French marigolds was shown to slow glasshouse whitefly down.',
    'Plant them early and thick; they do not cure.',
    /marigold|tagetes/i,
    'Conboy et al. 2019, PLOS ONE 14',
  ),
  row(
    'drops-burn',
    'Water drops burn leaves in the sun',
    'no',
    'On smooth leaves they do not; on hairy ones a little.',
    'Keep leaves dry against disease, not against burns.',
    /drops? burn|burnt? by (water )?drops/i,
    'Egri et al. 2010, New Phytologist 185',
  ),
  row(
    'suckers-more',
    'Removing suckers gives more fruit',
    'partly',
    'Fewer, earlier, larger and healthier ones; in all often less from a plant, more from a bed planted closer.',
    'Choose by your season: the page of the plant tells what it trades.',
    /sucker.*more fruit/i,
  ),
  row(
    'early-planting',
    'Earlier planting gives earlier fruit',
    'no',
    'Plants that stand cold wait, and later ones overtake them.',
    'Soil of 16 °C and mild nights first.',
    /plant(ed|ing)? early|early planting/i,
  ),
  row(
    'birds-like',
    'Birds peck because they like tomatoes',
    'partly',
    'Often they want the water.',
    'A bath with fresh water every two days; pick at the first blush.',
    /birds? (like|love)/i,
  ),
  row(
    'one-crop',
    'Only one crop a year fits',
    'no',
    'A determinate autumn crop fits where the season is long enough.',
    'Count back from the first frost.',
    /one crop a year/i,
  ),
  row(
    'mixing-kinds',
    'Mixing kinds improves the set by crossing',
    'no',
    'Flowers pollinate themselves; shaking is what matters.',
    'Tap the trusses on dry middays.',
    /cross(ing)? (kinds|varieties)|mix(ed|ing) (kinds|varieties)/i,
  ),
  row(
    'more-feed',
    'More feed gives more fruit',
    'harmful',
    'It gives leaves, and flowers that fall.',
    'The label at most, half of it in heat.',
    /double (dose|feed)|extra feed|more feed/i,
  ),
  row(
    'wilted-thirsty',
    'A limp plant is thirsty',
    'harmful',
    'In wet soil it drowns, and more water finishes it.',
    'A finger first, 5 cm deep.',
    /limp.*thirsty|wilt(ed|ing)?.*(thirsty|needs water)/i,
  ),
  row(
    'curl-disease',
    'Curled leaves mean disease',
    'no',
    'Mostly heat, water or pruning; firm and green they do no harm.',
    'Look at the newest leaves: tight and twisted ones are another matter.',
    /leaf curl|curl(ed|ing) leaves/i,
  ),
  row(
    'split-waste',
    'Split tomatoes must be thrown away',
    'no',
    'Fresh dry splits that smell sweet are good to eat today.',
    'Smell them; soft, sour or mouldy ones go in the bin, and none into jars.',
    /throw.*split|split.*(thrown?|bin)/i,
  ),
  row(
    'compost-tea',
    'Compost tea on leaves stops disease',
    'no-evidence',
    'Trials go both ways, and germs on fruit eaten raw are a risk.',
    'On the soil only; dry leaves against disease.',
    /compost tea/i,
  ),
  row(
    'kitchen-drench',
    'Coffee grounds, urine or dish soap as a regular drench',
    'harmful',
    'Salts, pH and burnt leaves; a little once does no harm.',
    'Grounds into the compost; a feed by its label.',
    /coffee grounds?|\burine\b|dish soap|washing[- ]?up liquid/i,
  ),
  row(
    'broad-insecticide',
    'A broad insecticide clears the bed',
    'harmful',
    'It kills bees on open flowers and the allies that hold pests down, and pests come back first.',
    'Know what it is, look for allies, use hands and water; never on open flowers, by the label and local rules.',
    /broad[- ]insecticide|bug spray/i,
  ),
  row(
    'probe',
    'A moisture probe tells when to water',
    'partly',
    'It measures salts and contact as much as water.',
    'A finger, or the weight of the pot.',
    /moisture (probe|meter)/i,
  ),
];

export type ClaimCode = string;
export const claimOf = (code: string): Claim | undefined => CLAIMS.find((c) => c.code === code);

/** The claim that a text names, the most particular first; undefined where it names none. */
export function claimIn(text: string): Claim | undefined {
  const named = CLAIMS.filter((c) => c.named.test(text));
  // what is named by two words is more particular than what is named by one of them
  return named.sort((a, b) => b.named.source.length - a.named.source.length)[0];
}

export const VERDICT_WORDS: Record<Verdict, string> = {
  works: 'It works',
  partly: 'It helps in part',
  'no-evidence': 'Nothing shows that it helps',
  no: 'Not so',
  harmful: 'Going by it does harm',
};
