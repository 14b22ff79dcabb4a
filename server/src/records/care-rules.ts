import { heavyFaults, useFaults } from '@candid-leaf/core/harvest';
import { growthFaults } from '@candid-leaf/core/growth';
import { companionFaults } from '@candid-leaf/core/companions';
import { cutFaults } from '@candid-leaf/core/pruning';
import { Injectable } from '@nestjs/common';
import type { RecordInput } from '@candid-leaf/contract';
import { nitrogenWindowDays, overDoseFaults } from '@candid-leaf/core/nutrition';
import { labelGramsEach } from '@candid-leaf/core/products';
import { conflictFaults, waitFaults } from '@candid-leaf/core/spray';
import {
  Feeding,
  GrowthSeen,
  Happening,
  isPotted,
  Spraying,
  type Fault,
  type RecordData,
  type RecordType,
  Pruning,
  Companion,
  Picking,
} from '@candid-leaf/core/records';
import { addDays, type Day } from '@candid-leaf/core/units';
import { In, IsNull, MoreThanOrEqual, Not, type EntityManager } from 'typeorm';
import type { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { ProductsService } from '../products/products.service.js';
import { throwIfFaults } from '../shared/http-errors.js';
import { RecordEntity } from './record.entity.js';

interface Standing {
  place: PlaceEntity | null;
  plant: PlantEntity | null;
}

/**
 * Checks of a record beyond its own form: rules of care that read earlier records. They stop mistakes, not the truth:
 * any of them passes with a reason.
 */
@Injectable()
export class CareRules {
  constructor(private readonly products: ProductsService) {}

  async check(m: EntityManager, gardenId: string, input: RecordInput, data: object, at: Standing): Promise<void> {
    if (data instanceof Feeding) throwIfFaults(await this.feedFaults(m, gardenId, input.id, data, at));
    if (data instanceof Spraying) throwIfFaults(await sprayFaults(m, input.id, data, at));
    if (data instanceof Companion) throwIfFaults(companionFaults(data, 'data.'));
    if (data instanceof GrowthSeen) throwIfFaults(growthFaults(data, 'data.'));
    if (data instanceof Pruning) throwIfFaults(cutFaults(data, 'data.'));
    if (data instanceof Picking) throwIfFaults(await pickFaults(m, input.id, data, at));
    if (data instanceof Happening && data.what === 'harvest') throwIfFaults(await harvestFaults(m, input.id, data, at));
  }

  private async feedFaults(m: EntityManager, gardenId: string, id: string, f: Feeding, at: Standing): Promise<Fault[]> {
    const { place } = at;
    if (!place || f.because?.trim()) return [];
    const isPot = isPotted(place);
    const standing = await standingIn(m, at);
    const product = (await this.products.all(gardenId, m)).find((p) => p.name === f.product);
    const m2 = place.lengthM && place.widthM ? (place.lengthM * place.widthM) / Math.max(1, standing.length) : null;
    const labelGrams = product ? labelGramsEach(product, { m2, potLitres: place.volumeL }) : null;
    const since = addDays(f.date, -nitrogenWindowDays(isPot));
    for (const plantId of standing) {
      const earlier = (
        await recordsOf<Feeding>(m, 'feeding', { placeId: place.id, plantIds: [plantId], since, without: id })
      ).map((r) => r.data);
      const faults = overDoseFaults(f, { isPot, potLitres: place.volumeL ?? null, earlier, labelGrams }, 'data.');
      if (faults.length > 0) return faults;
    }
    return [];
  }
}

/** Refuses two sprays that burn together, in either order. */
async function sprayFaults(m: EntityManager, id: string, s: Spraying, at: Standing): Promise<Fault[]> {
  const { place } = at;
  if (!place) return [];
  const others = await recordsOf<Spraying>(m, 'spray', {
    placeId: place.id,
    plantIds: await standingIn(m, at),
    since: addDays(s.date, -60),
    without: id,
  });
  return conflictFaults(
    s,
    others.map((r) => r.data),
    'data.',
  );
}

/** Refuses picking before a spray's waiting time is over. */
async function harvestFaults(m: EntityManager, id: string, h: Happening | Picking, at: Standing): Promise<Fault[]> {
  const { place } = at;
  if (!place) return [];
  const sprays = await recordsOf<Spraying>(m, 'spray', {
    placeId: place.id,
    plantIds: await standingIn(m, at),
    since: addDays(h.date, -365),
    without: id,
  });
  return waitFaults(
    h.date,
    h.because,
    sprays.map((r) => r.data),
    'data.',
  );
}

/** Refuses fruit picked during a waiting time, used unsafely, or heavier than a plant can bear. */
async function pickFaults(m: EntityManager, id: string, p: Picking, at: Standing): Promise<Fault[]> {
  const { plant } = at;
  if (!plant) return [];
  const since = addDays(p.date, -SEASON_DAYS);
  const before = await recordsOf<Picking>(m, 'picking', {
    placeId: plant.placeId,
    plantIds: [plant.id],
    since,
    without: id,
  });
  const gramsBefore = before.reduce((t, r) => t + (r.data.grams ?? 0), 0);
  return [
    ...useFaults(p, 'data.'),
    ...heavyFaults(p, { crop: plant.crop, gramsBefore }, 'data.'),
    ...(await harvestFaults(m, id, p, at)),
  ];
}
/** Longest time a plant bears, days. */
const SEASON_DAYS = 270;

/** Returns the plant the record belongs to, or those in its bed. */
async function standingIn(m: EntityManager, { place, plant }: Standing): Promise<string[]> {
  if (plant) return [plant.id];
  const plants = await m.findBy(PlantEntity, { placeId: place!.id, retiredOn: IsNull(), deletedAt: IsNull() });
  return plants.map((p) => p.id);
}

/**
 * Returns records of a type that affect one of these plants, directly or through its bed; without the one being
 * edited.
 */
async function recordsOf<T extends RecordData>(
  m: EntityManager,
  type: RecordType,
  { placeId, plantIds, since, without }: { placeId: string; plantIds: readonly string[]; since: Day; without: string },
): Promise<{ day: Day; data: T }[]> {
  const common = { type, deletedAt: IsNull(), day: MoreThanOrEqual(since), id: Not(without) };
  const rows = await m.find(RecordEntity, {
    where: [
      { ...common, placeId },
      { ...common, plantId: In([...plantIds]) },
    ],
    order: { day: 'ASC' },
  });
  return rows.map((r) => ({ day: r.day, data: r.data as T }));
}
