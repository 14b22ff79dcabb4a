import { isOfGarden, PlantInput } from '@candid-leaf/contract';
import {
  checked,
  RECORD_CLASSES,
  RefusedInput,
  resistanceFaults,
  SoilTest,
  plantedFaults,
  typeFaults,
  weatherFaults,
  WeatherRecord,
  type Fault,
  type RecordData,
  type RecordType,
} from '@candid-leaf/core/records';
import { soilTestFaults } from '@candid-leaf/core/soil';
import { typeOfTable, type CellFault, type TableName, type Values } from '@candid-leaf/core/tables';
import type { Day } from '@candid-leaf/core/units';
import { v5 as nameUuid } from 'uuid';
import { dayFaults, inspectionFaults } from '../records/records.service.js';
import { targetFaults } from '../records/target-faults.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import type { Names } from './names.js';

/** One row as it will be stored. */
export type MadeRow =
  | {
      into: 'record';
      id: string;
      type: RecordType;
      plantId: string | null;
      placeId: string | null;
      day: Day;
      data: object;
    }
  | { into: 'weather'; day: Day; data: WeatherRecord }
  | { into: 'plant'; input: PlantInput }
  | { into: 'soil'; placeId: string; test: SoilTest };

const SOIL_ELEMENTS = ['nitrate', 'phosphorus', 'potassium', 'calcium', 'magnesium'];
const SOIL_VALUES = new Set([...SOIL_ELEMENTS, 'phosphorusBy', 'organicMatterPct']);

const wordsOf = (value: Values[string] | undefined): string => (typeof value === 'string' ? value : '');

/** A refusal, with its cell. */
class Refused extends Error {
  constructor(readonly faults: CellFault[]) {
    super('refused');
  }
}
const refuse = (field: string, reason: string): never => {
  throw new Refused([{ field, reason }]);
};
const asCells = (faults: readonly Fault[]): CellFault[] =>
  faults.map((f) => ({ field: f.path.split(/[.[]/).at(-1) ?? '', reason: f.reason }));

/** A line of looks is a look of its own, with one sign or all clear. */
function lookIn({ date, partOfDay, allClear, sign, seen, affected, of, severity }: Values): object {
  if (!allClear && sign === undefined) refuse('sign', 'is missing: name a sign, or write yes under all clear');
  const one = { sign, present: seen !== 'no', ...compact({ affected, of, severity }) };
  return { date, ...compact({ partOfDay }), allClear: allClear === true, signs: sign === undefined ? [] : [one] };
}
const compact = (values: object): object =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined));

/** Builds rows from a file, using the same classes and rules as single records. */
export class RowMaker {
  constructor(
    private readonly table: TableName,
    private readonly importId: string,
    private readonly today: Day,
    private readonly names: Names,
  ) {}

  /** Returns the id a line of this import always gets. */
  idOf(line: number): string {
    return nameUuid(String(line), this.importId);
  }

  make(values: Values, line: number): { row: MadeRow } | { faults: CellFault[] } {
    try {
      return { row: this.row(values, line) };
    } catch (error) {
      if (error instanceof Refused) return { faults: error.faults };
      if (error instanceof RefusedInput) return { faults: asCells(error.faults) };
      throw error;
    }
  }

  private row(values: Values, line: number): MadeRow {
    const type = typeOfTable(this.table);
    if (type) return this.record(type, values, line);
    if (this.table === 'weather') return this.weather(values);
    return this.table === 'plants' ? this.plant(values, line) : this.soil(values);
  }

  private record(type: RecordType, { plant, place, ...rest }: Values, line: number): MadeRow {
    const data = checked<RecordData>(RECORD_CLASSES[type], type === 'inspection' ? lookIn(rest) : rest);
    const placeId = place === undefined ? null : this.placeOf(place);
    const of = plant === undefined ? null : this.plantOf(plant, placeId, data.date);
    if (!of && placeId === null && !isOfGarden(type)) refuse('plant', 'is missing, and so is the bed or pot');
    const faults = [
      ...targetFaults({ type, plantId: of?.id ?? null, placeId: of ? null : placeId }),
      ...dayFaults(data.date, this.today, of),
      ...inspectionFaults(data, of?.crop),
    ];
    if (faults.length > 0) throw new Refused(asCells(faults));
    return {
      into: 'record',
      id: this.idOf(line),
      type,
      plantId: of?.id ?? null,
      placeId: of ? null : placeId,
      day: data.date,
      data,
    };
  }

  private weather(values: Values): MadeRow {
    const data = checked(WeatherRecord, values);
    if (data.date > this.today) refuse('date', `${data.date} is in the future`);
    const faults = weatherFaults(data, '');
    if (faults.length > 0) throw new Refused(asCells(faults));
    return { into: 'weather', day: data.date, data };
  }

  private plant({ place, ...rest }: Values, line: number): MadeRow {
    const placeId = this.placeOf(place);
    const input = checked(PlantInput, { ...rest, id: this.idOf(line), placeId });
    if ('row' in this.names.plant(input.name, placeId, null)) refuse('name', 'is in that bed or pot already');
    const faults = [
      ...plantedFaults(input.transplantedOn, this.today, 'transplantedOn'),
      ...typeFaults(input.crop, input.type, 'type'),
      ...resistanceFaults(input.crop, input.resistantTo, 'resistantTo'),
    ];
    if (faults.length > 0) throw new Refused(asCells(faults));
    this.names.addPlant({ ...input, retiredOn: null } as unknown as PlantEntity);
    return { into: 'plant', input };
  }

  private soil({ place, ...rest }: Values): MadeRow {
    const fields = Object.entries(rest);
    const values = Object.fromEntries(fields.filter(([k]) => SOIL_VALUES.has(k)));
    const plain = Object.fromEntries(fields.filter(([k]) => !SOIL_VALUES.has(k)));
    const test = checked(SoilTest, { ...plain, ...(Object.keys(values).length > 0 ? { values } : {}) });
    if (test.date > this.today) refuse('date', 'is in the future');
    const faults = soilTestFaults(test, '');
    if (faults.length > 0) throw new Refused(asCells(faults));
    return { into: 'soil', placeId: this.placeOf(place), test };
  }

  private placeOf(name: Values[string] | undefined): string {
    const found = this.names.place(wordsOf(name));
    return 'row' in found ? found.row.id : refuse('place', found.reason);
  }
  private plantOf(name: Values[string], placeId: string | null, day: Day): PlantEntity {
    const found = this.names.plant(wordsOf(name), placeId, day);
    return 'row' in found ? found.row : refuse('plant', found.reason);
  }
}
