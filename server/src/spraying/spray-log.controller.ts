import { OpenInDemo } from '../accounts/session.js';
import { Controller, Get, Param, StreamableFile } from '@nestjs/common';
import { asJson } from '../shared/as-json.js';
import { Workers } from '../shared/workers.js';
import { SprayLogService } from './spray-log.service.js';

/** Routes of the spray log. */
@Controller('api/gardens/:gardenId/sprays')
export class SprayLogController {
  private readonly ofGarden;

  constructor(log: SprayLogService, workers: Workers) {
    this.ofGarden = workers.offerReading('spray log', (gardenId: string) => log.list(gardenId));
  }

  @OpenInDemo()
  @Get()
  async list(@Param('gardenId') gardenId: string): Promise<StreamableFile> {
    return asJson(await this.ofGarden(gardenId));
  }
}
