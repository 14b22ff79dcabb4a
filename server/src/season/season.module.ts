import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { LateSource } from './late.source.js';
import { PickingSource } from './picking.source.js';
import { PlantingsService } from './plantings.service.js';
import { RaisingSource } from './raising/raising.source.js';
import { SeasonNotesService } from './season-notes.service.js';
import { SeasonController } from './season.controller.js';
import { SeasonService } from './season.service.js';
import { SoilPrepSource } from './soil-prep.source.js';
import { SettlingSource } from './settling.source.js';
import { WeedingSource } from './weeding.source.js';

/** The season: plantings, dates, raising and picking. */
@Module({
  imports: [AssessmentModule, GardensModule, RecordsModule, TodayModule],
  controllers: [SeasonController],
  providers: [
    PlantingsService,
    SeasonNotesService,
    SeasonService,
    RaisingSource,
    SettlingSource,
    WeedingSource,
    SoilPrepSource,
    PickingSource,
    LateSource,
  ],
  exports: [SeasonService],
})
export class SeasonModule {}
