import { Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import type { PlacePlanDto } from '@candid-leaf/contract';
import { AccountId } from '../accounts/session.js';
import { Snapshots, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { notFound } from '../shared/http-errors.js';
import { PlanService } from './plan.service.js';
import { TimerService } from './timer.service.js';

@Controller('api/gardens/:gardenId')
export class PlanController {
  constructor(
    private readonly snapshots: Snapshots,
    private readonly plans: PlanService,
    private readonly timers: TimerService,
  ) {}

  @Get('plan')
  async all(@Param('gardenId') gardenId: string): Promise<PlacePlanDto[]> {
    return this.plans.all(await this.snapshots.load(gardenId));
  }

  @Get('places/:placeId/plan')
  async one(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string): Promise<PlacePlanDto> {
    const s = await this.snapshots.load(gardenId);
    return this.show(s, placeIn(s, placeId));
  }

  @Post('places/:placeId/timer/send')
  @HttpCode(200)
  async send(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string): Promise<PlacePlanDto> {
    const s = await this.snapshots.load(gardenId);
    const place = placeIn(s, placeId);
    await this.timers.send(s, place, await this.plans.of(s, place));
    return this.show(s, place);
  }

  @Post('places/:placeId/timer/read')
  @HttpCode(200)
  async read(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('placeId') placeId: string,
  ): Promise<PlacePlanDto> {
    const before = await this.snapshots.load(gardenId);
    await this.timers.read(before, accountId, placeIn(before, placeId));
    // what ran is on record now, and the plan follows from it
    const s = await this.snapshots.load(gardenId);
    return this.show(s, placeIn(s, placeId));
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
