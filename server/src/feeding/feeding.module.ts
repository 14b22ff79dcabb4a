import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { ProductsModule } from '../products/products.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { TreatmentsModule } from '../treatments/treatments.module.js';
import { FeedingSource } from './feeding.source.js';

/** Feeding as a source of tasks. */
@Module({
  imports: [AssessmentModule, ProductsModule, RecordsModule, TodayModule, TreatmentsModule],
  providers: [FeedingSource],
})
export class FeedingModule {}
