import { Injectable } from '@nestjs/common';
import type { PlacePlanDto } from '@candid-leaf/contract';
import { Snapshots, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { notFound } from '../shared/http-errors.js';
import { PlanService } from './plan.service.js';
import { TimerService } from './timer.service.js';

/** The plan of a bed or pot with its timer. */
@Injectable()
export class PlaceAndTimer {
  constructor(
    private readonly snapshots: Snapshots,
    private readonly plans: PlanService,
    private readonly timers: TimerService,
  ) {}

  async all(gardenId: string): Promise<PlacePlanDto[]> {
    return this.plans.all(await this.snapshots.load(gardenId));
  }

  async one(gardenId: string, placeId: string): Promise<PlacePlanDto> {
    const s = await this.snapshots.load(gardenId);
    return this.show(s, placeIn(s, placeId));
  }

  async send(gardenId: string, placeId: string): Promise<PlacePlanDto> {
    const s = await this.snapshots.load(gardenId);
    const place = placeIn(s, placeId);
    await this.timers.send(s, place, await this.plans.of(s, place));
    return this.show(s, place);
  }

  async read(gardenId: string, placeId: string, accountId: string): Promise<PlacePlanDto> {
    const before = await this.snapshots.load(gardenId);
    await this.timers.read(before, accountId, placeIn(before, placeId));
    // the runs are now recorded, and the plan follows from them
    return this.one(gardenId, placeId);
  }

  private async show(s: GardenSnapshot, place: PlaceEntity): Promise<PlacePlanDto> {
    return { ...(await this.plans.of(s, place)), timer: await this.timers.view(place, s.today) };
  }
}

function placeIn(s: GardenSnapshot, placeId: string): PlaceEntity {
  const place = s.places.find((p) => p.id === placeId);
  if (!place) throw notFound('place');
  return place;
}
