import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { SeasonModule } from '../season/season.module.js';
import { TodayModule } from '../today/today.module.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarService } from './calendar.service.js';

/** Tasks and season dates as a calendar. */
@Module({
  imports: [AssessmentModule, SeasonModule, TodayModule],
  controllers: [CalendarController],
  providers: [CalendarService],
})
export class CalendarModule {}
