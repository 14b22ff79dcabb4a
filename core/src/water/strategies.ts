import type { Random } from '../climate/random.js';
import type { Crop, Stage } from '../records/plant.js';
import type { RootZone } from './root-zone.js';
import type { Felt } from './felt.js';
import type { RunState } from './run.js';
import type { MethodCode } from './methods.js';

/** What a gardener knows on a morning. */
export interface Morning {
  state: RunState;
  zone: RootZone;
  /** what plant and soil would use today without shortage, mm over its soil */
  useMm: number;
  /** depletion at which to water (RAW, or less while fruit swells), mm */
  limitMm: number;
  /** days since the last watering; 99 if none */
  since: number;
  /** what it may lack more than estimated, mm */
  doubtMm?: number;
  /** what a finger said, if it still counts */
  felt?: Felt['feel'] | null;
}

/** Returns the millimetres to give this morning; 0 for none. */
export type WateringStrategy = (m: Morning) => number;

/** Returns this morning's depletion, mm. */
export const missingMm = ({ state, zone }: Pick<Morning, 'state' | 'zone'>): number =>
  Math.max(0, state.depletionMm ?? (1 - state.fraction) * zone.tawMm);
/** Pots get a tenth more, to flush salts; */
const FLUSH = 0.1;
/** and the less is known of their store the more, as a share of its error: they drain, so too much does no harm. */
const UNSURE = { share: 1, mostSd: 0.3 } as const;
/** Returns what a pot may lack more than estimated, mm; 0 in a bed, where too much is not harmless. */
export const doubtMm = ({ state, zone }: Pick<Morning, 'state' | 'zone'>): number =>
  zone.isPot ? UNSURE.share * Math.min(state.sd, UNSURE.mostSd) * zone.tawMm : 0;
/** Returns what fills the store this morning, mm. */
export function refillMm(m: Pick<Morning, 'state' | 'zone' | 'doubtMm'>): number {
  const missing = missingMm(m);
  return m.zone.isPot ? missing + Math.max(FLUSH * missing, Math.min(missing, m.doubtMm ?? 0)) : missing;
}
/** Amounts below this are not worth carrying a can for, mm. */
const WORTH_MM = 1;
const worth = (mm: number): number => (mm >= WORTH_MM ? mm : 0);

/**
 * Fraction left at which a finger feels dry: about 0.25 of the top's store, which empties before the rest (judgement:
 * 0.4 of all).
 */
const FINGER_DRY = 0.4;

/** Share of the water used by tonight. */
const usedShare = (m: Morning): number => (missingMm(m) + m.useMm) / m.zone.tawMm;
/** A soak is for a store that has used this share: at 90 % left it would only drain (judgement). */
const DEEP_WORTH = 0.25;

/** The watering methods as strategies. Each is a rule for the morning; amounts follow from the store. */
export const METHOD_STRATEGIES: Record<MethodCode, WateringStrategy> = {
  'by-need': (m) => (missingMm(m) + m.useMm + (m.doubtMm ?? 0) >= m.limitMm ? refillMm(m) : 0),
  deep: (m) => (m.since >= 5 && usedShare(m) > (m.since >= 6 ? DEEP_WORTH : 0.6) ? worth(refillMm(m)) : 0),
  'twice-a-week': (m) => (m.since >= 3 ? worth(refillMm(m)) : 0),
  'evenly-moist': (m) => (missingMm(m) + m.useMm >= 0.25 * m.zone.tawMm ? refillMm(m) : 0),
  daily: (m) => worth(refillMm(m)),
  finger: (m) =>
    (m.felt ? m.felt === 'dry' : missingMm(m) >= (1 - FINGER_DRY) * m.zone.tawMm) ? worth(refillMm(m)) : 0,
  'half-often': (m) => (missingMm(m) + m.useMm >= 0.33 * m.zone.tawMm ? refillMm(m) / 2 : 0),
};

/** A timer that gives the same every few days, whatever the weather. */
export const timer =
  (everyDays: number, mm: number): WateringStrategy =>
  (m) =>
    m.since >= everyDays ? mm : 0;

/** "When I remember": one morning in four. */
export const remembered =
  (random: Random, mm: number): WateringStrategy =>
  () =>
    random() < 0.25 ? mm : 0;

/** Fraction of the store to use before refilling while fruit swells (no drier than 60 % left). */
const FRUIT_LIMIT = 0.4;
/** A limited "drier finish": half as much again once fruit colours, and never beyond 70 % used. */
const DRIER_FINISH = 1.5;

/**
 * Ks down to which a pepper may dry, compared with a tomato: a fifth less, minus a hair. Peppers like the air that
 * comes with it, and Ks stays above the limit of water shortage (common practice; judgement). By p of Table 22 alone
 * a pepper would be watered sooner.
 */
const PEPPER_KS = 0.81;

interface DrynessPreference {
  crop: Crop;
  stage: Stage | null | undefined;
  /** let the soil get drier as fruit colours, for flavour */
  drierRipening?: boolean;
  /** tomatoes rather damp than bone dry, peppers rather dry than wet, unless the gardener chooses */
  moisture?: 'damp' | 'dry' | null;
}

/**
 * Returns the depletion at which to water this plant, mm: RAW, or less while a tomato's fruit swells, moved by the
 * gardener's preference.
 * @example wateringLimit({ crop: 'tomato', stage: 'fruiting' }, 40, 80) // 32
 */
export function wateringLimit(
  { crop, stage, drierRipening, moisture }: DrynessPreference,
  rawMm: number,
  tawMm: number,
): number {
  const swelling = stage === 'fruiting' || stage === 'ripening';
  const own = crop === 'tomato' ? 'damp' : 'dry';
  const base =
    crop === 'pepper' ? tawMm - PEPPER_KS * (tawMm - rawMm) : swelling ? Math.min(rawMm, FRUIT_LIMIT * tawMm) : rawMm;
  const finish = drierRipening && (stage === 'ripening' || stage === 'late') ? DRIER_FINISH : 1;
  const preference = !moisture || moisture === own ? 1 : moisture === 'damp' ? 0.85 : 1.15;
  return Math.min(0.7 * tawMm, base * finish * preference);
}
