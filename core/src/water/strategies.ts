import type { Random } from '../climate/random.js';
import type { Crop, Stage } from '../records/plant.js';
import type { RootZone } from './root-zone.js';
import type { RunState } from './run.js';
import type { SchoolCode } from './schools.js';

/** What a gardener knows on a morning. */
export interface Morning {
  state: RunState;
  zone: RootZone;
  /** what the plant and the soil would use today with water to spare, mm over its soil */
  useMm: number;
  /** depletion at which it should be watered (RAW, or less while fruit swells), mm */
  limitMm: number;
  /** days since the last watering; 99 when there was none */
  since: number;
}

/** Millimetres to give this morning; 0 for none. */
export type WateringStrategy = (m: Morning) => number;

/** Depletion this morning, mm. */
export const missingMm = ({ state, zone }: Pick<Morning, 'state' | 'zone'>): number =>
  Math.max(0, state.depletionMm ?? (1 - state.fraction) * zone.tawMm);
/** Pots get a tenth more, so that salts leave. */
export const refillMm = (m: Pick<Morning, 'state' | 'zone'>): number => missingMm(m) * (m.zone.isPot ? 1.1 : 1);
/** As much as is not worth carrying a can for, mm. */
const WORTH_MM = 1;
const worth = (mm: number): number => (mm >= WORTH_MM ? mm : 0);

/** Dry at a finger's depth: about 0.25 of the store left in the top, which goes before the rest (judgement: 0.4 of all). */
const FINGER_DRY = 0.4;

/** The schools as strategies. Each is a rule of the morning; amounts follow from the store. */
export const SCHOOL_STRATEGIES: Record<SchoolCode, WateringStrategy> = {
  'by-need': (m) => (missingMm(m) + m.useMm >= m.limitMm ? refillMm(m) : 0),
  deep: (m) => (m.since >= 6 || (m.since >= 5 && missingMm(m) + m.useMm > m.zone.tawMm * 0.6) ? worth(refillMm(m)) : 0),
  'twice-a-week': (m) => (m.since >= 3 ? worth(refillMm(m)) : 0),
  'evenly-moist': (m) => (missingMm(m) + m.useMm >= 0.25 * m.zone.tawMm ? refillMm(m) : 0),
  daily: (m) => worth(refillMm(m)),
  finger: (m) => (missingMm(m) >= (1 - FINGER_DRY) * m.zone.tawMm ? refillMm(m) : 0),
  'half-often': (m) => (missingMm(m) + m.useMm >= 0.33 * m.zone.tawMm ? refillMm(m) / 2 : 0),
};

/** A clock that gives the same every so many days, whatever the weather. */
export const timer =
  (everyDays: number, mm: number): WateringStrategy =>
  (m) =>
    m.since >= everyDays ? mm : 0;

/** "When I remember": one morning in four. */
export const remembered =
  (random: Random, mm: number): WateringStrategy =>
  () =>
    random() < 0.25 ? mm : 0;

/** Fraction of the store that may be used before it is refilled while fruit swells (no drier than 60 % left). */
export const FRUIT_LIMIT = 0.4;
/** A bounded "drier finish": half as far again once fruit colours, and never beyond 70 % used. */
const DRIER_FINISH = 1.5;

/**
 * How far a pepper is let drier than a tomato: to where its Ks has fallen by a fifth, less a hair. Peppers like the air that comes
 * with it, and Ks stays above what counts as short of water (common practice; judgement). p of Table 22 alone would have a
 * pepper watered the sooner of the two.
 */
const PEPPER_KS = 0.81;

export interface Leaning {
  crop: Crop;
  stage: Stage | null | undefined;
  /** hold water back as fruit colours, for flavour */
  drierFinish?: boolean;
  /** tomatoes rather damp than bone dry, peppers rather dry than wet, unless the gardener says otherwise */
  lean?: 'damp' | 'dry' | null;
}

/** Depletion at which this plant should be watered, mm: RAW, or less while a tomato's fruit swells, moved by how one leans. */
export function wateringLimit({ crop, stage, drierFinish, lean }: Leaning, rawMm: number, tawMm: number): number {
  const swelling = stage === 'fruiting' || stage === 'ripening';
  const own = crop === 'tomato' ? 'damp' : 'dry';
  const base =
    crop === 'pepper' ? tawMm - PEPPER_KS * (tawMm - rawMm) : swelling ? Math.min(rawMm, FRUIT_LIMIT * tawMm) : rawMm;
  const finish = drierFinish && (stage === 'ripening' || stage === 'late') ? DRIER_FINISH : 1;
  const leaning = !lean || lean === own ? 1 : lean === 'damp' ? 0.85 : 1.15;
  return Math.min(0.7 * tawMm, base * finish * leaning);
}
