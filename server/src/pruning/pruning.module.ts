import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { TreatmentsModule } from '../treatments/treatments.module.js';
import { CutsSource } from './cuts.source.js';

/** Pruning as a source of tasks. */
@Module({ imports: [AssessmentModule, RecordsModule, TodayModule, TreatmentsModule], providers: [CutsSource] })
export class PruningModule {}
