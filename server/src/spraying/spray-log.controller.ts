import { OpenInDemo } from '../accounts/session.js';
import { Controller, Get, Param } from '@nestjs/common';
import type { SprayLogRow } from '@candid-leaf/contract';
import { SprayLogService } from './spray-log.service.js';

/** Routes of the spray log. */
@Controller('api/gardens/:gardenId/sprays')
export class SprayLogController {
  constructor(private readonly log: SprayLogService) {}

  @OpenInDemo()
  @Get()
  list(@Param('gardenId') gardenId: string): Promise<SprayLogRow[]> {
    return this.log.list(gardenId);
  }
}
