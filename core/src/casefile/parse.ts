import { checked } from '../records/checked.js';
import { type Fault, RefusedInput } from '../records/faults.js';
import { type PlantCase, tidyRecords } from '../records/plant-case.js';
import {
  contradictions,
  placeFaults,
  resistanceFaults,
  signFaults,
  typeFaults,
  weatherFaults,
} from '../records/rules.js';
import { FILE_CAPS, shapeFaults } from '../records/shape.js';
import { CaseFile } from './case-file.js';

/**
 * Parses a case file: validates it whole, drops records later than `asOf`, sorts the rest.
 * @throws RefusedInput naming every fault with its path
 */
export function parseCase(value: unknown): PlantCase {
  const shape = shapeFaults(value, FILE_CAPS);
  if (shape.length > 0) throw new RefusedInput(shape);
  const { format: _format, version: _version, ...file } = checked(CaseFile, value);
  const { weather = [] } = file.records as Partial<CaseFile['records']>;
  const faults: Fault[] = [
    ...weather.flatMap((w, i) => weatherFaults(w, `records.weather[${i}]`)),
    ...twice(weather),
    ...file.observations.flatMap((o, i) => signFaults(o, file.plant.crop, `observations[${i}]`)),
    ...contradictions(file.observations, 'observations'),
    ...typeFaults(file.plant.crop, file.plant.type, 'plant.type'),
    ...placeFaults(file.place, 'place'),
    ...resistanceFaults(file.plant.crop, file.plant.resistantTo, 'plant.resistantTo'),
  ];
  const planted = file.plant.transplantedOn;
  if (planted && planted > file.asOf)
    faults.push({ path: 'plant.transplantedOn', reason: `${planted} is after the date of the question, ${file.asOf}` });
  if (faults.length > 0) throw new RefusedInput(faults);
  return {
    ...file,
    records: tidyRecords(file.records, file.asOf),
    observations: file.observations.filter((o) => o.date <= file.asOf),
  };
}

function twice(weather: readonly { date: string }[]): Fault[] {
  const seen = new Set<string>();
  return weather.flatMap((w, i) => {
    const again = seen.has(w.date);
    seen.add(w.date);
    return again ? [{ path: `records.weather[${i}].date`, reason: `${w.date} appears twice` }] : [];
  });
}
