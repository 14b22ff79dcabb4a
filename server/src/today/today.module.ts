import { Module } from '@nestjs/common';
import { DiscoveryModule } from '@nestjs/core';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { Paces } from './paces.service.js';
import { Postponements } from './postponements.service.js';
import { ShownSince } from './shown-since.service.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

/** Today: tasks of all sources, postponed tasks and pace. */
@Module({
  imports: [GardensModule, AssessmentModule, DiscoveryModule],
  controllers: [TodayController],
  providers: [TodayService, Postponements, Paces, ShownSince],
  exports: [TodayService, Postponements],
})
export class TodayModule {}
