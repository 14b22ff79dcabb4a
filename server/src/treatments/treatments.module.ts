import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { ProductsModule } from '../products/products.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { FollowUpsSource } from './follow-ups.source.js';
import { RemediesSource } from './remedies.source.js';
import { TreatmentsController } from './treatments.controller.js';
import { TreatmentsService } from './treatments.service.js';

/** Treatments and their tasks. */
@Module({
  imports: [GardensModule, ProductsModule, RecordsModule, AssessmentModule, TodayModule],
  controllers: [TreatmentsController],
  providers: [TreatmentsService, RemediesSource, FollowUpsSource],
  exports: [TreatmentsService],
})
export class TreatmentsModule {}
