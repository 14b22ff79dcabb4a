import { Body, Controller, HttpCode, Param, Post, StreamableFile } from '@nestjs/common';
import { StartTreatment, TreatmentOutcome, type Outcome } from '@candid-leaf/contract';
import { AccountId, Needs } from '../accounts/session.js';
import { asJson } from '../shared/as-json.js';
import { Workers } from '../shared/workers.js';
import { TreatmentsService } from './treatments.service.js';

/** Routes to start a treatment and to say how it went. */
@Controller('api/gardens/:gardenId')
export class TreatmentsController {
  private readonly takeOn;
  private readonly tell;

  constructor(treatments: TreatmentsService, workers: Workers) {
    this.takeOn = workers.offer(
      'start a treatment',
      (gardenId: string, accountId: string, plantId: string, input: StartTreatment) =>
        treatments.start(gardenId, accountId, plantId, input),
    );
    this.tell = workers.offer(
      'close a treatment',
      (gardenId: string, accountId: string, treatmentId: string, outcome: Outcome) =>
        treatments.close(gardenId, accountId, treatmentId, outcome),
    );
  }

  @Needs('record')
  @Post('plants/:plantId/treatments')
  @HttpCode(200)
  async start(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('plantId') plantId: string,
    @Body() { id, disorder }: StartTreatment,
  ): Promise<StreamableFile> {
    return asJson(await this.takeOn(gardenId, accountId, plantId, { id, disorder }));
  }

  @Needs('record')
  @Post('treatments/:treatmentId/outcome')
  @HttpCode(200)
  async close(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('treatmentId') treatmentId: string,
    @Body() body: TreatmentOutcome,
  ): Promise<StreamableFile> {
    return asJson(await this.tell(gardenId, accountId, treatmentId, body.outcome));
  }
}
