import { Injectable } from '@nestjs/common';
import type { PlantDto, PlantEnded, PlantInput, SeveralPlants } from '@candid-leaf/contract';
import { plantedFaults, resistanceFaults, typeFaults } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import type { EntityManager } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { archivedFaults } from '../places/archived.js';
import { noteGrown } from '../places/grown.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlacesService } from '../places/places.service.js';
import { VarietyEntity } from '../varieties/variety.entity.js';
import { notFound, throwIfFaults, under } from '../shared/http-errors.js';
import { nextPosition, reorder } from '../shared/ordering.js';
import { putVersioned, updateRows } from '../shared/rows.js';
import { PlantEntity } from './plant.entity.js';

/** Returns a plant without the server's own fields. */
export const plantDto = (p: PlantEntity): PlantDto => {
  const { gardenId: _g, deletedAt: _d, revision: _r, seenOn: _s, enteredOn: _e, found: _f, ...rest } = p;
  return rest;
};

/** Returns the day on which stage and height were entered: today if they are new, else as before. */
const seenOn = (
  input: Pick<PlantInput, 'stage' | 'heightM'>,
  before: Pick<PlantEntity, 'stage' | 'heightM' | 'seenOn'> | null,
  today: Day,
): Day | null => {
  const [stage, heightM] = [input.stage ?? null, input.heightM ?? null];
  if (stage === null && heightM === null) return null;
  return before && before.stage === stage && before.heightM === heightM ? before.seenOn : today;
};

/** Creates and changes plants. */
@Injectable()
export class PlantsService {
  constructor(
    private readonly gardens: GardensService,
    private readonly places: PlacesService,
  ) {}

  async put(gardenId: string, input: PlantInput): Promise<PlantDto> {
    return this.gardens.change(gardenId, (m, garden) => this.write(m, gardenId, this.gardens.today(garden), input));
  }

  /** Saves the plants of one form, with their new bed if there is one: all of them or none. */
  async putSeveral(gardenId: string, { place, plants }: SeveralPlants): Promise<PlantDto[]> {
    return this.gardens.change(gardenId, async (m, garden) => {
      const today = this.gardens.today(garden);
      if (place) await under('place.', () => this.places.write(m, garden, place));
      const saved: PlantDto[] = [];
      for (const [i, plant] of plants.entries())
        saved.push(await under(`plants.${i}.`, () => this.write(m, gardenId, today, plant)));
      return saved;
    });
  }

  /** The same within another transaction. */
  async write(m: EntityManager, gardenId: string, today: Day, input: PlantInput): Promise<PlantDto> {
    const old = await m.findOneBy(PlantEntity, { id: input.id, gardenId });
    throwIfFaults([
      ...typeFaults(input.crop, input.type, 'type'),
      ...resistanceFaults(input.crop, input.resistantTo, 'resistantTo'),
      // a plant of an earlier season keeps its day
      ...(old && old.transplantedOn === input.transplantedOn
        ? []
        : plantedFaults(input.transplantedOn, today, 'transplantedOn')),
    ]);
    const place = await m.findOneBy(PlaceEntity, { id: input.placeId, gardenId });
    if (!place) throw notFound('place');
    if (old?.placeId !== place.id) throwIfFaults(archivedFaults(place, 'placeId'));
    if (input.varietyId && !(await m.existsBy(VarietyEntity, { id: input.varietyId, gardenId })))
      throw notFound('variety');
    const row = await putVersioned(
      m,
      PlantEntity,
      { id: input.id, gardenId, version: input.version },
      {
        placeId: input.placeId,
        name: input.name,
        crop: input.crop,
        habit: input.habit ?? null,
        type: input.type ?? null,
        stage: input.stage ?? null,
        transplantedOn: input.transplantedOn ?? null,
        heightM: input.heightM ?? null,
        seenOn: seenOn(input, old, today),
        plantedAbout: input.plantedAbout ?? null,
        start: input.start ?? null,
        spacingM: input.spacingM ?? null,
        resistantTo: input.resistantTo ?? [],
        training: input.training ?? null,
        worth: input.worth ?? null,
        varietyId: input.varietyId ?? null,
        varietyUnsure: input.varietyUnsure ?? null,
      },
      {
        position: await nextPosition(m, PlantEntity, { gardenId, placeId: input.placeId }),
        retiredOn: null,
        enteredOn: today,
      },
    );
    if (row.transplantedOn) await noteGrown(m, row.placeId, row.transplantedOn);
    return plantDto(row);
  }

  order(gardenId: string, placeId: string, ids: string[]): Promise<void> {
    return this.gardens.change(gardenId, async (m) => {
      if (!(await m.existsBy(PlaceEntity, { id: placeId, gardenId }))) throw notFound('place');
      await reorder(m, PlantEntity, ids, { gardenId, placeId });
    });
  }

  async retire(gardenId: string, plantId: string, retired: boolean, { because, on }: PlantEnded = {}): Promise<void> {
    const today = this.gardens.today(await this.gardens.get(gardenId));
    if (on && on > today) throwIfFaults([{ path: 'on', reason: `${on} is in the future` }]);
    await this.gardens.change(gardenId, async (m) => {
      const plant = await m.findOneBy(PlantEntity, { id: plantId, gardenId });
      if (on && plant?.transplantedOn && on < plant.transplantedOn)
        throwIfFaults([{ path: 'on', reason: `it was only planted out on ${plant.transplantedOn}` }]);
      const change = { retiredOn: retired ? (on ?? today) : null, endedBecause: because ?? null };
      const found = await updateRows(m, PlantEntity, { id: plantId, gardenId }, change);
      if (found === 0) throw notFound('plant');
    });
  }
}
