import { Module } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { PlantsController } from './plants.controller.js';
import { PlantsService } from './plants.service.js';

/** Plants. */
@Module({ imports: [GardensModule], controllers: [PlantsController], providers: [PlantsService] })
export class PlantsModule {}
