import { Controller, Get, Param } from '@nestjs/common';
import type { GardenView, PlantView } from '@candid-leaf/contract';
import type { CaseFile } from '@candid-leaf/core/casefile';
import { ViewsService } from './views.service.js';

@Controller('api/gardens/:gardenId')
export class ViewsController {
  constructor(private readonly views: ViewsService) {}

  @Get('view')
  garden(@Param('gardenId') gardenId: string): Promise<GardenView> {
    return this.views.garden(gardenId);
  }

  @Get('plants/:plantId/view')
  plant(@Param('gardenId') gardenId: string, @Param('plantId') plantId: string): Promise<PlantView> {
    return this.views.plant(gardenId, plantId);
  }

  /** The plant's case file, as the headless command reads it. */
  @Get('plants/:plantId/case')
  case(@Param('gardenId') gardenId: string, @Param('plantId') plantId: string): Promise<CaseFile> {
    return this.views.caseFile(gardenId, plantId);
  }
}
