import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { GardensModule } from '../gardens/gardens.module.js';
import { ProductsModule } from '../products/products.module.js';
import { CareRules } from './care-rules.js';
import { RecordEntity } from './record.entity.js';
import { RecordsController } from './records.controller.js';
import { RecordsService } from './records.service.js';

/** Records of all types. */
@Module({
  imports: [TypeOrmModule.forFeature([RecordEntity]), GardensModule, ProductsModule],
  controllers: [RecordsController],
  providers: [RecordsService, CareRules],
  exports: [RecordsService],
})
export class RecordsModule {}
