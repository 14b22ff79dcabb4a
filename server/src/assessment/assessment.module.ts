import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { Assessments } from './assessments.service.js';
import { Snapshots } from './snapshots.service.js';

@Module({
  imports: [GardensModule],
  providers: [Snapshots, Assessments],
  exports: [Snapshots, Assessments],
})
export class AssessmentModule {}
