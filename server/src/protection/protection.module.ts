import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { HardWeatherSource } from './hard-weather.source.js';

/** Heat and frost as a source of tasks. */
@Module({ imports: [AssessmentModule, RecordsModule, TodayModule], providers: [HardWeatherSource] })
export class ProtectionModule {}
