import { CLEAR_FROM, type Diagnosis } from './engine/diagnose.js';
import { disorderRow } from './tables/disorders.js';
import { DRIVERS } from './vocabulary/drivers.js';

/** How sure, in words. */
export function sureness(probability: number): string {
  if (probability >= 0.97) return 'almost certain';
  if (probability >= 0.8) return 'very likely';
  if (probability >= CLEAR_FROM) return 'likely';
  if (probability >= 0.2) return 'possible';
  return 'unlikely';
}

/** How often a sign is seen, in the strength words of the tables. */
export function chanceWord(chance: number): string {
  if (chance >= 0.9) return 'nearly always';
  if (chance >= 0.7) return 'usually';
  if (chance >= 0.4) return 'often';
  if (chance >= 0.15) return 'sometimes';
  return 'rarely';
}

/** The finding as a sentence: what it is, then why here with the days that speak for it. */
export function headline(list: readonly Diagnosis[]): string {
  const leader = list[0];
  if (!leader) return 'Nothing was reported.';
  const row = disorderRow(leader.disorder);
  if (leader.probability < CLEAR_FROM)
    return `Not clear yet. It could be: ${list
      .slice(0, 3)
      .map((d) => disorderRow(d.disorder).label.toLowerCase())
      .join(', ')}.`;
  return `${row.label}, ${sureness(leader.probability)}.`;
}

/** Why here, one sentence per driver, heaviest first; the days are in the sentence. */
export function whyHere(d: Pick<Diagnosis, 'drivers'>, most = 3): string[] {
  if (d.drivers.length === 0) return ['No cause found in the records.'];
  return d.drivers.slice(0, most).map((driver) => {
    const name = DRIVERS[driver.driver];
    return `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${driver.summary}.`;
  });
}
