import { Module, type OnModuleInit } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { TodayModule } from '../today/today.module.js';
import { TodayService } from '../today/today.service.js';
import { PickingSource } from './picking.source.js';
import { PlantingsService } from './plantings.service.js';
import { RaisingSource } from './raising.source.js';
import { SeasonNotesService } from './season-notes.service.js';
import { SeasonController } from './season.controller.js';
import { SeasonService } from './season.service.js';

@Module({
  imports: [AssessmentModule, GardensModule, TodayModule],
  controllers: [SeasonController],
  providers: [PlantingsService, SeasonNotesService, SeasonService, RaisingSource, PickingSource],
  exports: [SeasonService],
})
export class SeasonModule implements OnModuleInit {
  constructor(
    private readonly today: TodayService,
    private readonly raising: RaisingSource,
    private readonly picking: PickingSource,
  ) {}

  onModuleInit(): void {
    this.today.register(this.raising);
    this.today.register(this.picking);
  }
}
