import { Controller, Get, HttpCode, Param, Post, StreamableFile } from '@nestjs/common';
import { AccountId, Needs, OpenInDemo } from '../accounts/session.js';
import { asJson } from '../shared/as-json.js';
import { Workers } from '../shared/workers.js';
import { PlaceAndTimer } from './place-and-timer.service.js';

/** Routes of the water plan. */
@Controller('api/gardens/:gardenId')
export class PlanController {
  private readonly planOfAll;
  private readonly planOf;
  private readonly sendPlan;
  private readonly readLog;

  constructor(places: PlaceAndTimer, workers: Workers) {
    this.planOfAll = workers.offerReading('plan of the garden', (gardenId: string) => places.all(gardenId));
    this.planOf = workers.offerReading('plan of a place', (gardenId: string, placeId: string) =>
      places.one(gardenId, placeId),
    );
    this.sendPlan = workers.offer('send to the timer', (gardenId: string, placeId: string) =>
      places.send(gardenId, placeId),
    );
    this.readLog = workers.offer('read the timer', (gardenId: string, placeId: string, accountId: string) =>
      places.read(gardenId, placeId, accountId),
    );
  }

  @OpenInDemo()
  @Get('plan')
  async all(@Param('gardenId') gardenId: string): Promise<StreamableFile> {
    return asJson(await this.planOfAll(gardenId));
  }

  @OpenInDemo()
  @Get('places/:placeId/plan')
  async one(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string): Promise<StreamableFile> {
    return asJson(await this.planOf(gardenId, placeId));
  }

  @Post('places/:placeId/timer/send')
  @HttpCode(200)
  async send(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string): Promise<StreamableFile> {
    return asJson(await this.sendPlan(gardenId, placeId));
  }

  @Needs('record')
  @Post('places/:placeId/timer/read')
  @HttpCode(200)
  async read(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('placeId') placeId: string,
  ): Promise<StreamableFile> {
    return asJson(await this.readLog(gardenId, placeId, accountId));
  }
}
