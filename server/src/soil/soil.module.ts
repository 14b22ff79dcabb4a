import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { TreatmentsModule } from '../treatments/treatments.module.js';
import { SoilController } from './soil.controller.js';
import { SoilSource } from './soil.source.js';

/** Soil and mulch as a source of tasks. */
@Module({
  imports: [AssessmentModule, RecordsModule, TodayModule, TreatmentsModule],
  controllers: [SoilController],
  providers: [SoilSource],
})
export class SoilModule {}
