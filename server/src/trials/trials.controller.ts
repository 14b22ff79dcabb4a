import { OpenInDemo } from '../accounts/session.js';
import { Body, Controller, Delete, Get, HttpCode, Param, Put, StreamableFile } from '@nestjs/common';
import { TrialInput } from '@candid-leaf/contract';
import { asJson } from '../shared/as-json.js';
import { Workers } from '../shared/workers.js';
import { TrialsService } from './trials.service.js';

/** Routes of trials. */
@Controller('api/gardens/:gardenId/trials')
export class TrialsController {
  private readonly ofGarden;
  private readonly save;

  constructor(
    private readonly trials: TrialsService,
    workers: Workers,
  ) {
    this.ofGarden = workers.offerReading('trials', (gardenId: string) => trials.list(gardenId));
    this.save = workers.offer('save a trial', (gardenId: string, input: TrialInput) => trials.put(gardenId, input));
  }

  @OpenInDemo()
  @Get()
  async list(@Param('gardenId') gardenId: string): Promise<StreamableFile> {
    return asJson(await this.ofGarden(gardenId));
  }

  @Put()
  async put(@Param('gardenId') gardenId: string, @Body() body: TrialInput): Promise<StreamableFile> {
    return asJson(await this.save(gardenId, body));
  }

  @Delete(':trialId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('trialId') trialId: string): Promise<void> {
    return this.trials.remove(gardenId, trialId);
  }
}
