import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { PlacesModule } from '../places/places.module.js';
import { PlantsController } from './plants.controller.js';
import { PlantsService } from './plants.service.js';
import { RetirePlaceController } from './retire-place.controller.js';
import { RetirePlaceService } from './retire-place.service.js';

/** Plants. */
@Module({
  imports: [GardensModule, PlacesModule],
  controllers: [PlantsController, RetirePlaceController],
  providers: [PlantsService, RetirePlaceService],
  exports: [PlantsService],
})
export class PlantsModule {}
