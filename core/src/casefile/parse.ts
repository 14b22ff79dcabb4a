import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { CaseFile, CaseRecords } from './case-file.js';
import { faultsOf, RefusedInput, type Fault } from './faults.js';
import {
  contradictions,
  placeFaults,
  resistanceFaults,
  signFaults,
  typeFaults,
  weatherFaults,
} from './rules-across-fields.js';

/** Options under which every class of ours is checked, here and at the server's edge. */
export const STRICT = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true } as const;

/**
 * Checks a value against one of our classes and returns an instance.
 * @throws RefusedInput with a path and a reason for every fault; unknown fields are faults too.
 */
export function checked<T extends object>(cls: new () => T, value: unknown): T {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    throw new RefusedInput([{ path: '(whole)', reason: 'must be a JSON object' }]);
  const instance = plainToInstance(cls, value);
  const faults = faultsOf(validateSync(instance, STRICT));
  if (faults.length > 0) throw new RefusedInput(faults);
  return instance;
}

/** Records in the order of their days, each kind on its own, none later than `asOf`. */
function tidy(records: CaseRecords, asOf: string): CaseRecords {
  const kept = <T extends { date: string }>(list: T[] | null | undefined): T[] =>
    (list ?? []).filter((r) => r.date <= asOf).sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
  return {
    weather: kept(records.weather),
    watering: kept(records.watering),
    soilChecks: kept(records.soilChecks),
    potWeights: kept(records.potWeights),
    feeding: kept(records.feeding),
    pruning: kept(records.pruning),
    sprays: kept(records.sprays),
    events: kept(records.events),
  };
}

/**
 * Reads a case file: checks it whole, drops records later than `asOf`, sorts the rest.
 * @throws RefusedInput naming every fault with its path
 */
export function parseCase(value: unknown): CaseFile {
  const file = checked(CaseFile, value);
  const faults: Fault[] = [
    ...(file.records.weather ?? []).flatMap((w, i) => weatherFaults(w, `records.weather[${i}]`)),
    ...twice(file.records.weather ?? []),
    ...file.observations.flatMap((o, i) => signFaults(o, file.plant.crop, `observations[${i}]`)),
    ...contradictions(file.observations, 'observations'),
    ...typeFaults(file.plant.crop, file.plant.type, 'plant.type'),
    ...placeFaults(file.place.kind, file.place.volumeL, 'place.volumeL'),
    ...resistanceFaults(file.plant.crop, file.plant.resistantTo, 'plant.resistantTo'),
  ];
  const planted = file.plant.transplantedOn;
  if (planted && planted > file.asOf)
    faults.push({ path: 'plant.transplantedOn', reason: `${planted} is after the day of the question, ${file.asOf}` });
  if (faults.length > 0) throw new RefusedInput(faults);
  return {
    ...file,
    records: tidy(file.records, file.asOf),
    observations: file.observations.filter((o) => o.date <= file.asOf),
  };
}

function twice(weather: readonly { date: string }[]): Fault[] {
  const seen = new Set<string>();
  return weather.flatMap((w, i) => {
    const again = seen.has(w.date);
    seen.add(w.date);
    return again ? [{ path: `records.weather[${i}].date`, reason: `${w.date} stands here twice` }] : [];
  });
}
