import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { PlantsModule } from '../plants/plants.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { TreatmentsModule } from '../treatments/treatments.module.js';
import { CutsSource } from './cuts.source.js';
import { RootedController } from './rooted.controller.js';
import { RootedService } from './rooted.service.js';

/** Pruning as a source of tasks, and suckers that become plants. */
@Module({
  imports: [AssessmentModule, GardensModule, PlantsModule, RecordsModule, TodayModule, TreatmentsModule],
  controllers: [RootedController],
  providers: [CutsSource, RootedService],
})
export class PruningModule {}
