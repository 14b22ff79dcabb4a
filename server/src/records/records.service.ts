import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  Inspection,
  PLANT_ONLY,
  RECORD_CLASSES,
  type RecordData,
  type RecordDto,
  type RecordInput,
  type RecordType,
} from '@candid-leaf/contract';
import { checked, contradictions, RefusedInput, signFaults, type Crop, type Fault } from '@candid-leaf/core';
import { IsNull, type EntityManager, type Repository } from 'typeorm';
import { gone, insist, refuse } from '../common/refusals.js';
import { putVersioned } from '../common/versioned.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { RecordEntity } from './record.entity.js';

export const recordDto = (r: RecordEntity): RecordDto => ({
  id: r.id,
  version: r.version,
  type: r.type,
  plantId: r.plantId,
  placeId: r.placeId,
  day: r.day,
  data: r.data,
  createdAt: (r.createdAt ?? new Date()).toISOString(),
});

@Injectable()
export class RecordsService {
  constructor(
    private readonly gardens: GardensService,
    @InjectRepository(RecordEntity) private readonly records: Repository<RecordEntity>,
  ) {}

  async list(
    gardenId: string,
    filter: { plantId?: string; placeId?: string; type?: RecordType },
  ): Promise<RecordDto[]> {
    const rows = await this.records.find({
      where: { gardenId, deletedAt: IsNull(), ...filter },
      order: { day: 'DESC', id: 'DESC' },
      take: 500,
    });
    return rows.map(recordDto);
  }

  async put(gardenId: string, accountId: string, input: RecordInput): Promise<RecordDto> {
    const today = this.gardens.today(await this.gardens.get(gardenId));
    return this.gardens.change(gardenId, (m) => this.write(m, gardenId, accountId, today, input));
  }

  /** The same within somebody else's transaction. */
  async write(
    m: EntityManager,
    gardenId: string,
    accountId: string,
    today: string,
    input: RecordInput,
  ): Promise<RecordDto> {
    const data = this.checkedData(input);
    const plant = input.plantId ? await m.findOneBy(PlantEntity, { id: input.plantId, gardenId }) : null;
    const place = input.placeId ? await m.findOneBy(PlaceEntity, { id: input.placeId, gardenId }) : null;
    if (input.plantId && !plant) throw gone('plant');
    if (input.placeId && !place) throw gone('place');
    insist([
      ...subjectFaults(input),
      ...dayFaults(data.date, today, plant),
      ...flowFaults(data, place),
      ...inspectionFaults(data, plant?.crop),
    ]);
    const { row } = await putVersioned(
      m,
      RecordEntity,
      { id: input.id, gardenId, ...(input.version != null ? { version: input.version } : {}) },
      { type: input.type, plantId: input.plantId ?? null, placeId: input.placeId ?? null, day: data.date, data },
      { createdBy: accountId },
    );
    return recordDto(row);
  }

  private checkedData(input: RecordInput): RecordData {
    try {
      return checked(RECORD_CLASSES[input.type] as new () => RecordData, input.data);
    } catch (error) {
      if (error instanceof RefusedInput) throw refuse(error.faults.map((f) => ({ ...f, path: `data.${f.path}` })));
      throw error;
    }
  }

  async setDeleted(gardenId: string, recordId: string, deleted: boolean): Promise<void> {
    await this.gardens.change(gardenId, async (m) => {
      const done = await m.update(RecordEntity, { id: recordId, gardenId }, { deletedAt: deleted ? new Date() : null });
      if (done.affected === 0) throw gone('record');
    });
  }
}

function subjectFaults(input: RecordInput): Fault[] {
  const named = [input.plantId, input.placeId].filter((x) => x != null).length;
  if (named !== 1)
    return [
      {
        path: 'plantId',
        reason: 'a record belongs to one plant or to one place: give exactly one of plantId and placeId',
      },
    ];
  return input.placeId && PLANT_ONLY.includes(input.type)
    ? [{ path: 'placeId', reason: `${input.type} is recorded plant by plant` }]
    : [];
}

function dayFaults(day: string, today: string, plant: PlantEntity | null): Fault[] {
  if (day > today) return [{ path: 'data.date', reason: `${day} is still to come (today is ${today} in this garden)` }];
  if (plant?.transplantedOn && day < plant.transplantedOn)
    return [{ path: 'data.date', reason: `${day} is before this plant was planted out, ${plant.transplantedOn}` }];
  return [];
}

function flowFaults(data: RecordData, place: PlaceEntity | null): Fault[] {
  if (!('minutes' in data) || data.minutes == null) return [];
  return place?.flowLPerH
    ? []
    : [
        {
          path: 'data.minutes',
          reason: 'minutes need a place whose flow is known: give litres, or the flow in the place’s settings',
        },
      ];
}

function inspectionFaults(data: RecordData, crop: Crop | undefined): Fault[] {
  if (!(data instanceof Inspection) || !crop) return [];
  return [
    ...data.signs.flatMap((s, i) => signFaults(s, crop, `data.signs[${i}]`)),
    ...contradictions(data.signs, 'data.signs'),
    ...(data.allClear && data.signs.some((s) => s.present && s.sign !== 'pest-none-found')
      ? [{ path: 'data.allClear', reason: 'an all-clear cannot hold a sign of trouble' }]
      : []),
  ];
}
