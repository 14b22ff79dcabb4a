import { Module } from '@nestjs/common';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { RoundsSource } from './rounds.source.js';

/** Walks as a source of tasks. */
@Module({ imports: [RecordsModule, TodayModule], providers: [RoundsSource] })
export class RoundsModule {}
