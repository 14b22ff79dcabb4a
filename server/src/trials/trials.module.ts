import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { TodayModule } from '../today/today.module.js';
import { TrialsController } from './trials.controller.js';
import { TrialsService } from './trials.service.js';
import { TrialsSource } from './trials.source.js';

/** Trials of two groups of plants. */
@Module({
  imports: [AssessmentModule, GardensModule, TodayModule],
  controllers: [TrialsController],
  providers: [TrialsService, TrialsSource],
})
export class TrialsModule {}
