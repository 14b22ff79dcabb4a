import type { EntityManager } from 'typeorm';
import { IsNull } from 'typeorm';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';

const key = (name: string): string => name.trim().toLocaleLowerCase('en').normalize('NFC');

type Found<T> = { row: T } | { reason: string };

/** A garden's beds and plants by the names people write. */
export class Names {
  private readonly places = new Map<string, PlaceEntity[]>();
  private readonly plants = new Map<string, PlantEntity[]>();

  constructor(places: readonly PlaceEntity[], plants: readonly PlantEntity[]) {
    for (const p of places) this.places.set(key(p.name), [...(this.places.get(key(p.name)) ?? []), p]);
    for (const p of plants) this.addPlant(p);
  }

  static async of(m: EntityManager, gardenId: string): Promise<Names> {
    const where = { gardenId, deletedAt: IsNull() };
    return new Names(await m.findBy(PlaceEntity, where), await m.findBy(PlantEntity, where));
  }

  addPlant(plant: PlantEntity): void {
    this.plants.set(key(plant.name), [...(this.plants.get(key(plant.name)) ?? []), plant]);
  }

  place(name: string): Found<PlaceEntity> {
    const found = this.places.get(key(name)) ?? [];
    const standing = found.filter((p) => p.retiredOn === null);
    const [one, ...more] = standing.length > 0 ? standing : found;
    if (!one) return { reason: `there is no bed or pot called "${name}" here` };
    return more.length > 0 ? { reason: `there are ${more.length + 1} called "${name}" here` } : { row: one };
  }

  /** Of several with one name: the one in that bed, or growing there on that day. */
  plant(name: string, placeId: string | null, day: string | null): Found<PlantEntity> {
    const called = this.plants.get(key(name)) ?? [];
    const there = placeId === null ? called : called.filter((p) => p.placeId === placeId);
    const stood = (p: PlantEntity): boolean =>
      day === null || ((p.transplantedOn ?? '') <= day && (p.retiredOn === null || day <= p.retiredOn));
    const [one, ...more] = there.length > 1 ? there.filter(stood) : there;
    if (!one)
      return {
        reason: `there is no plant called "${name}" ${called.length > 0 ? 'in that bed or pot, or on that day' : 'here'}`,
      };
    return more.length > 0
      ? { reason: `${more.length + 1} plants are called "${name}": name the bed or pot too` }
      : { row: one };
  }
}
