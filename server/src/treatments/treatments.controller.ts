import { Body, Controller, HttpCode, Param, Post } from '@nestjs/common';
import { StartTreatment, TreatmentOutcome, type TreatmentDto } from '@candid-leaf/contract';
import { AccountId } from '../accounts/session.js';
import { TreatmentsService } from './treatments.service.js';

@Controller('api/gardens/:gardenId')
export class TreatmentsController {
  constructor(private readonly treatments: TreatmentsService) {}

  @Post('plants/:plantId/treatments')
  @HttpCode(200)
  start(
    @Param('gardenId') gardenId: string,
    @Param('plantId') plantId: string,
    @Body() body: StartTreatment,
  ): Promise<TreatmentDto> {
    return this.treatments.start(gardenId, plantId, body);
  }

  @Post('treatments/:treatmentId/outcome')
  @HttpCode(200)
  close(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('treatmentId') treatmentId: string,
    @Body() body: TreatmentOutcome,
  ): Promise<TreatmentDto> {
    return this.treatments.close(gardenId, accountId, treatmentId, body.outcome);
  }
}
