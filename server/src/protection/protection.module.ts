import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { TodayModule } from '../today/today.module.js';
import { HardWeatherSource } from './hard-weather.source.js';

/** Heat and frost as a source of tasks. */
@Module({ imports: [AssessmentModule, TodayModule], providers: [HardWeatherSource] })
export class ProtectionModule {}
