import { v5 as nameUuid } from 'uuid';
import { claimIn } from '@candid-leaf/core/claims';
import { HttpException, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { RecordInput, type RecordDto, type SeveralAnswers } from '@candid-leaf/contract';
import {
  checked,
  contradictions,
  ENTRY_CLASSES,
  Inspection,
  RefusedInput,
  signFaults,
  WateringEntry,
  type Crop,
  type Fault,
  type RecordData,
  type RecordType,
} from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { makeWatering } from '@candid-leaf/core/water';
import { In, IsNull, Not, type EntityManager, type Repository } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { badRequest, notFound, throwIfFaults } from '../shared/http-errors.js';
import { putVersioned, updateRows } from '../shared/rows.js';
import { CareRules } from './care-rules.js';
import { targetFaults } from './target-faults.js';
import { RecordEntity } from './record.entity.js';

/** Returns a record without the server's own fields. */
export const recordDto = ({
  id,
  version,
  type,
  plantId,
  placeId,
  day,
  data,
  createdAt,
  createdBy,
}: RecordEntity): RecordDto =>
  ({
    id,
    version,
    type,
    plantId,
    placeId,
    day,
    data,
    createdAt: (createdAt ?? new Date()).toISOString(),
    by: createdBy,
  }) as RecordDto;

/** Filters of a list of records. */
interface RecordsWanted {
  plantId?: string;
  placeId?: string;
  type?: RecordType;
}

const MOST_LISTED = 500;

/** Creates, changes and finds records. */
@Injectable()
export class RecordsService {
  constructor(
    private readonly gardens: GardensService,
    private readonly care: CareRules,
    @InjectRepository(RecordEntity) private readonly records: Repository<RecordEntity>,
  ) {}

  async list(gardenId: string, wanted: RecordsWanted): Promise<RecordDto[]> {
    const rows = await this.records.find({
      where: { gardenId, deletedAt: IsNull(), ...wanted },
      order: { day: 'DESC', id: 'DESC' },
      take: MOST_LISTED,
    });
    return rows.map(recordDto);
  }

  async put(gardenId: string, accountId: string, input: RecordInput): Promise<RecordDto> {
    return this.gardens.change(gardenId, (m, garden) =>
      this.write(m, gardenId, accountId, this.gardens.today(garden), input),
    );
  }

  /**
   * Saves each in turn, as if sent by itself: one refusal does not block the others. If the database fails, none is
   * saved, and all may be sent again.
   */
  async putSeveral(gardenId: string, accountId: string, inputs: readonly object[]): Promise<SeveralAnswers> {
    return this.gardens.change(gardenId, async (m, garden) => {
      const today = this.gardens.today(garden);
      const answers: SeveralAnswers['answers'] = [];
      for (const input of inputs)
        try {
          const record = await m.transaction((part) =>
            this.write(part, gardenId, accountId, today, asInput(RecordInput, input)),
          );
          answers.push({ record });
        } catch (error) {
          if (!(error instanceof HttpException) || error.getStatus() >= 500) throw error;
          const { message, faults } = error.getResponse() as { message: string; faults?: Fault[] };
          answers.push({ refused: { status: error.getStatus(), message, ...(faults ? { faults } : {}) } });
        }
      return { answers };
    });
  }

  /** The same within another transaction. */
  async write(
    m: EntityManager,
    gardenId: string,
    accountId: string,
    today: Day,
    input: RecordInput,
  ): Promise<RecordDto> {
    const entry = checkedEntry(input);
    const plant = input.plantId ? await m.findOneBy(PlantEntity, { id: input.plantId, gardenId }) : null;
    if (input.plantId && !plant) throw notFound('plant');
    const placeId = input.placeId ?? plant?.placeId;
    const place = placeId ? await m.findOneBy(PlaceEntity, { id: placeId, gardenId }) : null;
    if (input.placeId && !place) throw notFound('place');
    throwIfFaults([
      ...targetFaults(input),
      ...dayFaults(entry.date, today, plant),
      ...inspectionFaults(entry, plant?.crop),
    ]);
    await this.care.check(m, gardenId, input, entry, { place, plant });
    const data = entry instanceof WateringEntry ? await asKept(m, entry, place) : entry;
    const row = await putVersioned(
      m,
      RecordEntity,
      { id: input.id, gardenId, version: input.version },
      { type: input.type, plantId: input.plantId ?? null, placeId: input.placeId ?? null, day: data.date, data },
      { createdBy: accountId },
    );
    const claim = await firstClaim(m, gardenId, input.id, row.data);
    return { ...recordDto(row), ...(claim ? { claim } : {}) };
  }

  /**
   * Saves one record per plant for one tick: the first under the tick's own id, the others under ids derived from it.
   */
  async writeEach(
    m: EntityManager,
    gardenId: string,
    tick: { accountId: string; recordId: string },
    { plantIds, type, data }: { plantIds: readonly string[]; type: RecordType; data: { date: Day } },
  ): Promise<string | null> {
    for (const [i, plantId] of plantIds.entries())
      await this.write(m, gardenId, tick.accountId, data.date, {
        id: i === 0 ? tick.recordId : partOf(tick.recordId, plantId),
        type,
        plantId,
        data,
      });
    return plantIds.length > 0 ? tick.recordId : null;
  }

  /** Undoes all records of such a tick. */
  async takeBackEach(
    m: EntityManager,
    gardenId: string,
    recordId: string | null,
    plantIds: readonly string[],
  ): Promise<void> {
    if (recordId === null) return;
    const ids = [recordId, ...plantIds.map((id) => partOf(recordId, id))];
    await updateRows(m, RecordEntity, { id: In(ids), gardenId, deletedAt: IsNull() }, { deletedAt: new Date() });
  }

  /** Returns whether a record exists under this id. */
  exists(m: EntityManager, gardenId: string, id: string): Promise<boolean> {
    return m.existsBy(RecordEntity, { id, gardenId, deletedAt: IsNull() });
  }

  /** Returns whether one was ever saved under one of these ids, even if deleted since. */
  wasEverWritten(m: EntityManager, ...ids: string[]): Promise<boolean> {
    return m.existsBy(RecordEntity, { id: In(ids) });
  }

  async markDeleted(m: EntityManager, gardenId: string, recordId: string, deleted: boolean): Promise<void> {
    const found = await updateRows(
      m,
      RecordEntity,
      { id: recordId, gardenId },
      { deletedAt: deleted ? new Date() : null },
    );
    if (found === 0) throw notFound('record');
  }

  setDeleted(gardenId: string, recordId: string, deleted: boolean): Promise<void> {
    return this.gardens.change(gardenId, (m) => this.markDeleted(m, gardenId, recordId, deleted));
  }
}

/** Returns the id of a further record of one tick. */
export const partOf = (recordId: string, plantId: string): string => nameUuid(plantId, recordId);

type Entry = RecordData | WateringEntry;

/** Validates input against its class; faults carry their path. */
function asInput<T extends object>(cls: new () => T, value: object, under = ''): T {
  try {
    return checked(cls, value);
  } catch (error) {
    if (error instanceof RefusedInput) throw badRequest(error.faults.map((f) => ({ ...f, path: under + f.path })));
    throw error;
  }
}

/** Validates input against the class of its type. */
const checkedEntry = (input: RecordInput): Entry =>
  asInput(ENTRY_CLASSES[input.type] as new () => Entry, input.data, 'data.');

/** Returns a watering as stored, by the current flow of the bed or pot. */
async function asKept(m: EntityManager, entry: WateringEntry, place: PlaceEntity | null): Promise<RecordData> {
  const plants = place
    ? await m.countBy(PlantEntity, { placeId: place.id, retiredOn: IsNull(), deletedAt: IsNull() })
    : 0;
  return makeWatering({ irrigation: place?.irrigation ?? null, flowLPerH: place?.flowLPerH ?? null, plants }, entry);
}

/** Returns a fault if a record is in the future, or before its plant was there. */
export function dayFaults(day: Day, today: Day, plant: PlantEntity | null): Fault[] {
  if (day > today) return [{ path: 'data.date', reason: `${day} is in the future (today is ${today} in this garden)` }];
  if (plant?.transplantedOn && day < plant.transplantedOn)
    return [{ path: 'data.date', reason: `${day} is before this plant was planted out, ${plant.transplantedOn}` }];
  if (plant?.retiredOn && day > plant.retiredOn)
    return [
      {
        path: 'data.date',
        reason: `this plant was archived on ${plant.retiredOn}, before ${day}: restore it if it still grows`,
      },
    ];
  return [];
}

/** Returns what is wrong with the signs of a look at a plant of this crop. */
export function inspectionFaults(data: Entry, crop: Crop | undefined): Fault[] {
  if (!(data instanceof Inspection) || !crop) return [];
  return [
    ...data.signs.flatMap((s, i) => signFaults(s, crop, `data.signs[${i}]`)),
    ...contradictions(data.signs, 'data.signs'),
    ...(data.allClear && data.signs.some((s) => s.present && s.sign !== 'pest-none-found')
      ? [{ path: 'data.allClear', reason: '“all clear” can’t include a sign of a problem' }]
      : []),
  ];
}

/** Returns the text of a record that may name a claim: a note, or what was fed or sprayed. */
const namedIn = (data: object): string => {
  const { text, product, name } = data as { text?: string; product?: string; name?: string };
  return [text, product, name].filter(Boolean).join(' ');
};

/** Returns the claim a record names, if it is the first in this garden: the verdict is shown once. */
async function firstClaim(m: EntityManager, gardenId: string, id: string, data: object): Promise<string | undefined> {
  const claim = claimIn(namedIn(data));
  if (!claim) return undefined;
  const others = await m.findBy(RecordEntity, { gardenId, type: In(['note', 'feeding', 'spray']), id: Not(id) });
  return others.some((r) => claimIn(namedIn(r.data))?.code === claim.code) ? undefined : claim.code;
}
