import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { TodayModule } from '../today/today.module.js';
import { WaterModule } from '../water/water.module.js';
import { WateringListController } from './watering-list.controller.js';
import { WateringListService } from './watering-list.service.js';

/** Watering lists for someone without an account. */
@Module({
  imports: [AssessmentModule, GardensModule, TodayModule, WaterModule],
  controllers: [WateringListController],
  providers: [WateringListService],
})
export class WateringListModule {}
