import { OpenInDemo } from '../accounts/session.js';
import { Controller, Get, Param, StreamableFile } from '@nestjs/common';
import { asJson } from '../shared/as-json.js';
import { Workers } from '../shared/workers.js';
import { ViewsService } from './views.service.js';

/** Routes of the garden page, the plant page and the case file. */
@Controller('api/gardens/:gardenId')
export class ViewsController {
  private readonly ofGarden;
  private readonly ofPlant;
  private readonly caseOf;

  constructor(views: ViewsService, workers: Workers) {
    this.ofGarden = workers.offerReading('view of the garden', (gardenId: string) => views.garden(gardenId));
    this.ofPlant = workers.offerReading('view of a plant', (gardenId: string, plantId: string) =>
      views.plant(gardenId, plantId),
    );
    this.caseOf = workers.offerReading('case of a plant', (gardenId: string, plantId: string) =>
      views.caseFile(gardenId, plantId),
    );
  }

  @OpenInDemo()
  @Get('view')
  async garden(@Param('gardenId') gardenId: string): Promise<StreamableFile> {
    return asJson(await this.ofGarden(gardenId));
  }

  @OpenInDemo()
  @Get('plants/:plantId/view')
  async plant(@Param('gardenId') gardenId: string, @Param('plantId') plantId: string): Promise<StreamableFile> {
    return asJson(await this.ofPlant(gardenId, plantId));
  }

  /** The plant's case file, as `npm run case` reads it. */
  @Get('plants/:plantId/case')
  async case(@Param('gardenId') gardenId: string, @Param('plantId') plantId: string): Promise<StreamableFile> {
    return asJson(await this.caseOf(gardenId, plantId));
  }
}
