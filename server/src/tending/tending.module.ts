import { Module, type OnModuleInit } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { TodayService } from '../today/today.service.js';
import { TappingSource } from './tapping.source.js';
import { TyingSource } from './tying.source.js';

/** Tying and tapping flowers as sources of tasks. */
@Module({ imports: [AssessmentModule, RecordsModule, TodayModule], providers: [TyingSource, TappingSource] })
export class TendingModule implements OnModuleInit {
  constructor(
    private readonly today: TodayService,
    private readonly tying: TyingSource,
    private readonly tapping: TappingSource,
  ) {}

  onModuleInit(): void {
    this.today.register(this.tying);
    this.today.register(this.tapping);
  }
}
