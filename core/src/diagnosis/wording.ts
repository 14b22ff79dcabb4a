import { isCircumstance, type SignCode, signRow } from '../records/vocabulary/signs.js';
import { CLEAR_FROM, type Diagnosis } from './engine/diagnose.js';
import type { Withheld } from './remedies/offer.js';
import { disorderRow } from './tables/disorders.js';
import { remedyRow } from './tables/remedies.js';
import { DRIVERS } from './vocabulary/drivers.js';
import { capital } from '../units/text.js';

/** Returns how certain, in words. */
export function sureness(probability: number): string {
  if (probability >= 0.97) return 'almost certain';
  if (probability >= 0.8) return 'very likely';
  if (probability >= CLEAR_FROM) return 'likely';
  if (probability >= 0.2) return 'possible';
  return 'unlikely';
}

/** Returns how often a sign is seen, in the words of the tables. */
export function chanceWord(chance: number): string {
  if (chance >= 0.9) return 'nearly always';
  if (chance >= 0.7) return 'usually';
  if (chance >= 0.4) return 'often';
  if (chance >= 0.15) return 'sometimes';
  return 'rarely';
}

/** What a headline says besides the findings. */
interface BesideFindings {
  unexplained?: readonly SignCode[];
  seen?: Iterable<SignCode>;
  /** the act that ought to come first and must wait */
  heldBack?: Withheld | null;
}

/** Returns the act that must wait, and why, in one sentence. */
export const heldBackInWords = ({ remedy, because }: Withheld): string =>
  `Not yet “${remedyRow(remedy).label}”: ${because}.`;

/**
 * Returns the finding as a sentence: what it is, then why here with the supporting days. Names only what explains
 * something seen; says plainly when a sign is unexplained.
 */
export function headline(
  list: readonly Diagnosis[],
  { unexplained = [], seen = [], heldBack = null }: BesideFindings = {},
): string {
  const leader = list.find((d) => d.explains.length > 0);
  if (list.length === 0 && unexplained.length === 0) return withoutSymptom([...seen]);
  const signs = unexplained.map((s) => signRow(s).label.toLowerCase()).join(', ');
  if (!leader) return signs ? `No known problem explains this: ${signs}.` : NOTHING_RECORDED;
  const row = disorderRow(leader.disorder);
  if (leader.probability < CLEAR_FROM)
    return `Not clear yet. It could be: ${list
      .filter((d) => d.explains.length > 0)
      .slice(0, 3)
      .map((d) => disorderRow(d.disorder).label.toLowerCase())
      .join(', ')}.`;
  const finding = `${row.label}, ${sureness(leader.probability)}.`;
  return heldBack ? `${finding} ${heldBackInWords(heldBack)}` : finding;
}

/** The headline of a plant of which nothing was reported. */
export const NOTHING_RECORDED = 'No problems recorded.';
/** What the soil needs, where the plant itself shows nothing. */
const SOIL_NEEDS: readonly (readonly [signs: readonly SignCode[], needs: string])[] = [
  [['soil-pooling'], 'water stands on the soil. Drain it before the next watering.'],
  [['soil-wet-deep', 'pot-heavy'], 'the soil is wet. Let it dry before you water again.'],
  [['soil-white-crust'], 'the white crust on the soil is salt. Give plain water until some drains away.'],
  [['soil-dry-deep', 'pot-light', 'soil-pulls-from-pot'], 'the soil is dry. Its watering is in the plan.'],
];

/** Returns what is said where nothing is seen on the plant itself. */
function withoutSymptom(seen: readonly SignCode[]): string {
  const soil = SOIL_NEEDS.find(([signs]) => signs.some((sign) => seen.includes(sign)));
  if (seen.some((sign) => isCircumstance(sign)))
    return 'Not clear yet: where it is, is noted, but not what it looks like.';
  return soil ? `The plant looks well; ${soil[1]}` : NOTHING_RECORDED;
}

/** Returns the text for a sign that nothing explains: what would help, and that it stays on record. */
export const unexplainedInWords = (signs: readonly SignCode[]): string =>
  `Not explained: ${signs.map((s) => signRow(s).label.toLowerCase()).join(', ')}. Look again in three days to see whether it spreads. Note where and since when, and take a photo. Each new look is checked against it.`;

/** Returns "why here", one sentence per driver with its days, heaviest first. */
export function whyHere(d: Pick<Diagnosis, 'drivers'>, most = 3): string[] {
  if (d.drivers.length === 0) return ['Nothing in the records explains it.'];
  return d.drivers.slice(0, most).map((driver) => {
    const name = `${howMuch(driver.strength)}${DRIVERS[driver.driver]}`;
    return `${capital(name)}: ${driver.summary}.`;
  });
}

/** A driver below its limit counts a little. */
const howMuch = (strength: number): string => (strength < 0.3 ? 'a little: ' : strength < 0.5 ? 'somewhat: ' : '');
