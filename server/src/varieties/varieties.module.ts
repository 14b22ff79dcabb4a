import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { VarietiesController } from './varieties.controller.js';
import { VarietiesService } from './varieties.service.js';

/** Varieties on the shelf. */
@Module({
  imports: [GardensModule],
  controllers: [VarietiesController],
  providers: [VarietiesService],
  exports: [VarietiesService],
})
export class VarietiesModule {}
