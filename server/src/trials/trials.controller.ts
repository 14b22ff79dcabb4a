import { OpenInDemo } from '../accounts/session.js';
import { Body, Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import { TrialInput, type TrialDto } from '@candid-leaf/contract';
import { TrialsService } from './trials.service.js';

/** Routes of trials. */
@Controller('api/gardens/:gardenId/trials')
export class TrialsController {
  constructor(private readonly trials: TrialsService) {}

  @OpenInDemo()
  @Get()
  list(@Param('gardenId') gardenId: string): Promise<TrialDto[]> {
    return this.trials.list(gardenId);
  }

  @Put()
  put(@Param('gardenId') gardenId: string, @Body() body: TrialInput): Promise<TrialDto> {
    return this.trials.put(gardenId, body);
  }

  @Delete(':trialId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('trialId') trialId: string): Promise<void> {
    return this.trials.remove(gardenId, trialId);
  }
}
