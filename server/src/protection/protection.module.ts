import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { AheadSource } from './ahead.source.js';
import { HardWeatherSource } from './hard-weather.source.js';

/** Heat, frost and what else the weather brings, as sources of tasks. */
@Module({ imports: [AssessmentModule, RecordsModule, TodayModule], providers: [HardWeatherSource, AheadSource] })
export class ProtectionModule {}
