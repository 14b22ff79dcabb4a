import {
  BenchInput,
  PlaceInput,
  PlantInput,
  PlantingInput,
  ProductInput,
  type RecordInput,
  SeasonNotesInput,
  TrialInput,
  VarietyInput,
  WEATHER_SERVICES,
} from '@candid-leaf/contract';
import { plantingFaults } from '@candid-leaf/core/planning';
import { productFaults } from '@candid-leaf/core/products';
import {
  checked,
  placeFaults,
  RECORD_CLASSES,
  RefusedInput,
  resistanceFaults,
  typeFaults,
  WeatherRecord,
  type Fault,
  type RecordType,
} from '@candid-leaf/core/records';
import { varietyFaults } from '@candid-leaf/core/varieties';
import type { EntityTarget, ObjectLiteral } from 'typeorm';
import { VarietyEntity } from '../varieties/variety.entity.js';
import { PhotoEntity } from '../photos/photo.entity.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { ProductEntity } from '../products/product.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { targetFaults } from '../records/target-faults.js';
import { PlantingEntity } from '../season/planting.entity.js';
import { SeasonNotesEntity } from '../season/season-notes.entity.js';
import { TaskPaceEntity } from '../today/task-pace.entity.js';
import { TreatmentTaskEntity } from '../treatments/treatment-task.entity.js';
import { TreatmentEntity } from '../treatments/treatment.entity.js';
import { trialFaults } from '../trials/trial-faults.js';
import { TrialEntity } from '../trials/trial.entity.js';
import { BenchEntity } from '../water/bench.entity.js';
import { WeatherEntity } from '../weather/weather.entity.js';
import { checkTreatment, ownFields, PaceOwn, PhotoOwn, PlaceOwn, PlantOwn, TreatmentTaskOwn } from './own-fields.js';

/** A row as read from a file. */
export type Row = Record<string, unknown>;

/** One table of a garden file. */
export interface GardenTable {
  /** its file name, also used in local ids */
  name: string;
  one: string;
  entity: EntityTarget<ObjectLiteral>;
  /** rows are marked when deleted, and those are left out */
  marked: boolean;
  /** other tables refer to its rows, so each has an id in the file */
  named: boolean;
  /** @throws what is wrong with a row, by the class that validates the page's input */
  check: (row: Row) => unknown;
}

const within = <T extends object>(cls: new () => T, row: Row, more: Row = {}): void => {
  const fields = new Set(Object.keys(row));
  // fields only the server sets are checked by the schema alone
  for (const own of SERVERS) fields.delete(own);
  checked(cls, { ...Object.fromEntries([...fields].map((f) => [f, row[f]])), ...more });
};
const SERVERS = [
  'position',
  'seenOn',
  'enteredOn',
  'retiredOn',
  'zoneSince',
  'grown',
  'endedBecause',
  'closedOn',
  'judgedOn',
  'spots',
  'found',
];
/** @throws if a rule of the page is broken */
const ruled = (faults: readonly Fault[]): void => {
  if (faults.length > 0) throw new RefusedInput([...faults]);
};
const refused = (path: string, reason: string): RefusedInput => new RefusedInput([{ path, reason }]);
const ANY = { id: '00000000-0000-7000-8000-000000000000' };

/** Every table of a garden, in import order: referenced tables first. */
export const GARDEN_TABLES: readonly GardenTable[] = [
  {
    name: 'places',
    one: 'place',
    entity: PlaceEntity,
    marked: true,
    named: true,
    check: (r) => {
      within(PlaceInput, r, ANY);
      ruled(placeFaults(r as unknown as PlaceInput, ''));
      ownFields(PlaceOwn, ['grown', 'zoneSince', 'retiredOn', 'position'], r);
    },
  },
  {
    name: 'varieties',
    one: 'variety',
    entity: VarietyEntity,
    marked: true,
    named: true,
    check: (r) => {
      within(VarietyInput, r, ANY);
      ruled(varietyFaults(r as unknown as VarietyInput));
    },
  },
  {
    name: 'products',
    one: 'product',
    entity: ProductEntity,
    marked: true,
    named: true,
    check: (r) => {
      within(ProductInput, r, ANY);
      ruled(productFaults(r as unknown as ProductInput));
    },
  },
  {
    name: 'plants',
    one: 'plant',
    entity: PlantEntity,
    marked: true,
    named: true,
    check: (r) => {
      within(PlantInput, r, ANY);
      const { crop, type, resistantTo } = r as unknown as PlantInput;
      ruled([...typeFaults(crop, type, 'type'), ...resistanceFaults(crop, resistantTo, 'resistantTo')]);
      ownFields(PlantOwn, ['seenOn', 'enteredOn', 'retiredOn', 'endedBecause', 'found', 'position'], r);
    },
  },
  {
    name: 'records',
    one: 'record',
    entity: RecordEntity,
    marked: true,
    named: false,
    check: ({ type, data, plantId, placeId }) => {
      if (!Object.hasOwn(RECORD_CLASSES, String(type)))
        throw refused('type', `${String(type)} is not a type of record`);
      ruled(targetFaults({ type, plantId, placeId } as unknown as RecordInput));
      checked(RECORD_CLASSES[type as RecordType] as new () => object, data as object);
    },
  },
  {
    name: 'weather',
    one: 'day',
    entity: WeatherEntity,
    marked: false,
    named: false,
    check: ({ day, kind: _k, rainChancePct: _c, source, ...rest }) => {
      if (source != null && source !== 'own' && !(WEATHER_SERVICES as readonly unknown[]).includes(source))
        throw refused('source', `${JSON.stringify(source)} is no source of weather`);
      checked(WeatherRecord, { ...rest, date: day });
    },
  },
  {
    name: 'treatments',
    one: 'treatment',
    entity: TreatmentEntity,
    marked: false,
    named: true,
    check: checkTreatment,
  },
  {
    name: 'treatment-tasks',
    one: 'task',
    entity: TreatmentTaskEntity,
    marked: false,
    named: false,
    check: (r) => ownFields(TreatmentTaskOwn, ['remedy', 'dueOn', 'doneOn', 'dose', 'cautions', 'seasonal'], r),
  },
  {
    name: 'trials',
    one: 'trial',
    entity: TrialEntity,
    marked: true,
    named: false,
    check: (r) => {
      within(TrialInput, r, ANY);
      ruled(trialFaults(r as unknown as TrialInput));
    },
  },
  {
    name: 'plantings',
    one: 'planting',
    entity: PlantingEntity,
    marked: true,
    named: false,
    check: (r) => {
      within(PlantingInput, r, ANY);
      ruled(plantingFaults(r as unknown as PlantingInput));
    },
  },
  {
    name: 'season-notes',
    one: 'notes',
    entity: SeasonNotesEntity,
    marked: true,
    named: false,
    check: (r) => within(SeasonNotesInput, r, ANY),
  },
  {
    name: 'benches',
    one: 'bench',
    entity: BenchEntity,
    marked: true,
    named: false,
    check: (r) => within(BenchInput, r, ANY),
  },
  {
    name: 'paces',
    one: 'pace',
    entity: TaskPaceEntity,
    marked: false,
    named: false,
    check: (r) => ownFields(PaceOwn, ['ticks', 'took', 'estimatedMinutes'], r),
  },
  {
    name: 'photos',
    one: 'photo',
    entity: PhotoEntity,
    marked: true,
    named: true,
    check: (r) => ownFields(PhotoOwn, ['day', 'sign', 'width', 'height'], r),
  },
];

/** Fields that name a row of another table, or several, with that table. */
export const REFERS: Readonly<Record<string, string>> = {
  placeId: 'place',
  plantId: 'plant',
  varietyId: 'variety',
  treatmentId: 'treatment',
  changed: 'plant',
  untouched: 'plant',
};

/** Columns that belong to a server, not the garden: not exported, and set anew on import. */
export const NOT_OF_GARDEN: ReadonlySet<string> = new Set([
  'gardenId',
  'version',
  'revision',
  'deletedAt',
  'createdBy',
  'bytes',
]);
/** Fields with people's text: never searched for ids. */
export const WORDS: ReadonlySet<string> = new Set([
  'name',
  'text',
  'product',
  'because',
  'worked',
  'change',
  'why',
  'label',
  'target',
  'where',
]);
