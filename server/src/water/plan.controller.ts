import { Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import type { PlacePlan } from '@candid-leaf/contract';
import { GardenBooks, type GardenBook } from '../cases/garden-book.js';
import { InsightService } from '../cases/insight.service.js';
import { gone } from '../common/refusals.js';
import { AccountId } from '../accounts/session.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { PlanService } from './plan.service.js';
import { TimerService } from './timer.service.js';

@Controller('api/gardens/:gardenId')
export class PlanController {
  constructor(
    private readonly books: GardenBooks,
    private readonly insights: InsightService,
    private readonly plans: PlanService,
    private readonly timers: TimerService,
  ) {}

  @Get('plan')
  async all(@Param('gardenId') gardenId: string): Promise<PlacePlan[]> {
    return this.plans.all(await this.books.open(gardenId));
  }

  @Get('places/:placeId/plan')
  async one(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string): Promise<PlacePlan> {
    return this.show(gardenId, placeId);
  }

  @Post('places/:placeId/timer/send')
  @HttpCode(200)
  async send(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string): Promise<PlacePlan> {
    const { book, place } = await this.find(gardenId, placeId);
    await this.insights.prepare(book);
    await this.timers.send(book, place, this.plans.of(book, place));
    return this.show(gardenId, placeId);
  }

  @Post('places/:placeId/timer/read')
  @HttpCode(200)
  async read(
    @Param('gardenId') gardenId: string,
    @Param('placeId') placeId: string,
    @AccountId() accountId: string,
  ): Promise<PlacePlan> {
    const { book, place } = await this.find(gardenId, placeId);
    const plants = book.plants.filter((p) => p.placeId === placeId && !p.retiredOn).length;
    await this.timers.read(book, accountId, place, plants);
    return this.show(gardenId, placeId);
  }

  private async show(gardenId: string, placeId: string): Promise<PlacePlan> {
    const { book, place } = await this.find(gardenId, placeId);
    return { ...this.plans.of(book, place), timer: await this.timers.view(place, book.today) };
  }

  private async find(gardenId: string, placeId: string): Promise<{ book: GardenBook; place: PlaceEntity }> {
    const book = await this.books.open(gardenId);
    const place = book.places.find((p) => p.id === placeId);
    if (!place) throw gone('place');
    return { book, place };
  }
}
