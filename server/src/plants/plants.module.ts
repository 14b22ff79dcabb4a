import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { PlacesModule } from '../places/places.module.js';
import { RecordsModule } from '../records/records.module.js';
import { PlantsController } from './plants.controller.js';
import { PlantsService } from './plants.service.js';

/** Plants. */
@Module({
  imports: [GardensModule, PlacesModule, RecordsModule],
  controllers: [PlantsController],
  providers: [PlantsService],
})
export class PlantsModule {}
