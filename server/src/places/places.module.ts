import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { PlacesController } from './places.controller.js';
import { PlacesService } from './places.service.js';

/** Beds and pots. */
@Module({
  imports: [GardensModule],
  controllers: [PlacesController],
  providers: [PlacesService],
  exports: [PlacesService],
})
export class PlacesModule {}
