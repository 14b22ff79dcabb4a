import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { PlacesModule } from '../places/places.module.js';
import { PlantsController } from './plants.controller.js';
import { PlantsService } from './plants.service.js';

/** Plants. */
@Module({
  imports: [GardensModule, PlacesModule],
  controllers: [PlantsController],
  providers: [PlantsService],
  exports: [PlantsService],
})
export class PlantsModule {}
