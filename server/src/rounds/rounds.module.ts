import { Module, type OnModuleInit } from '@nestjs/common';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { TodayService } from '../today/today.service.js';
import { RoundsSource } from './rounds.source.js';

/** Walks as a source of tasks. */
@Module({ imports: [RecordsModule, TodayModule], providers: [RoundsSource] })
export class RoundsModule implements OnModuleInit {
  constructor(
    private readonly today: TodayService,
    private readonly source: RoundsSource,
  ) {}

  onModuleInit(): void {
    this.today.register(this.source);
  }
}
