import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { TodayModule } from '../today/today.module.js';
import { SprayLogController } from './spray-log.controller.js';
import { SprayLogService } from './spray-log.service.js';
import { WaitsSource } from './waits.source.js';

/** Waiting times as a source of tasks, and the spray log. */
@Module({
  imports: [AssessmentModule, TodayModule],
  controllers: [SprayLogController],
  providers: [WaitsSource, SprayLogService],
})
export class SprayingModule {}
