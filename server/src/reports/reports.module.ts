import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { ReportsController } from './reports.controller.js';
import { ReportsService } from './reports.service.js';
import { AroundService } from './around.service.js';
import { YearsService } from './years.service.js';

/** Reports of a season. */
@Module({
  imports: [AssessmentModule],
  controllers: [ReportsController],
  providers: [ReportsService, YearsService, AroundService],
})
export class ReportsModule {}
