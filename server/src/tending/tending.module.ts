import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { TappingSource } from './tapping.source.js';
import { TyingSource } from './tying.source.js';

/** Tying and tapping flowers as sources of tasks. */
@Module({
  imports: [AssessmentModule, RecordsModule, TodayModule],
  providers: [TyingSource, TappingSource],
})
export class TendingModule {}
