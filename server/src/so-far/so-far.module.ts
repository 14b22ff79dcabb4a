import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { TodayModule } from '../today/today.module.js';
import { SoFarSource } from './so-far.source.js';

/** What was done before the records began, as a source of tasks. */
@Module({ imports: [AssessmentModule, TodayModule], providers: [SoFarSource] })
export class SoFarModule {}
