import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { BenchEntity } from './bench.entity.js';
import { BenchesController } from './benches.controller.js';
import { BenchesService } from './benches.service.js';
import { HoseTimer, HttpHoseTimer } from './hose-timer.js';
import { PlaceAndTimer } from './place-and-timer.service.js';
import { PlanController } from './plan.controller.js';
import { PlanService } from './plan.service.js';
import { TimerSettingsController } from './timer-settings.controller.js';
import { TimerSettings } from './timer-settings.service.js';
import { TimerService } from './timer.service.js';
import { WateringSource } from './watering.source.js';

/** The water plan, hose timers, and watering as a source of tasks. */
@Module({
  imports: [TypeOrmModule.forFeature([BenchEntity]), GardensModule, RecordsModule, AssessmentModule, TodayModule],
  controllers: [PlanController, BenchesController, TimerSettingsController],
  providers: [
    PlanService,
    PlaceAndTimer,
    TimerService,
    TimerSettings,
    BenchesService,
    WateringSource,
    { provide: HoseTimer, useClass: HttpHoseTimer },
  ],
  exports: [PlanService],
})
export class WaterModule {}
