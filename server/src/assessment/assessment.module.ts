import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { Assessments } from './assessments.service.js';
import { Snapshots } from './snapshots.service.js';

/** A garden's snapshot, and the assessment of its plants. */
@Module({
  imports: [GardensModule],
  providers: [Snapshots, Assessments],
  exports: [Snapshots, Assessments],
})
export class AssessmentModule {}
