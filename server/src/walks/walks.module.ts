import { Module } from '@nestjs/common';
import { RecordsModule } from '../records/records.module.js';
import { TodayModule } from '../today/today.module.js';
import { WalksSource } from './walks.source.js';

/** Walks as a source of tasks. */
@Module({ imports: [RecordsModule, TodayModule], providers: [WalksSource] })
export class WalksModule {}
