import { Body, Controller, HttpCode, Param, Post, Put } from '@nestjs/common';
import { NewOrder, PlantEnded, PlantInput, SeveralPlants, type PlantDto } from '@candid-leaf/contract';
import { PlantsService } from './plants.service.js';

/** Routes of plants. */
@Controller('api/gardens/:gardenId')
export class PlantsController {
  constructor(private readonly plants: PlantsService) {}

  @Put('plants')
  put(@Param('gardenId') gardenId: string, @Body() body: PlantInput): Promise<PlantDto> {
    return this.plants.put(gardenId, body);
  }

  @Put('plants/several')
  putSeveral(@Param('gardenId') gardenId: string, @Body() body: SeveralPlants): Promise<PlantDto[]> {
    return this.plants.putSeveral(gardenId, body);
  }

  @Post('places/:placeId/plants/order')
  @HttpCode(204)
  order(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string, @Body() body: NewOrder): Promise<void> {
    return this.plants.order(gardenId, placeId, body.ids);
  }

  @Post('plants/:plantId/retire')
  @HttpCode(204)
  retire(
    @Param('gardenId') gardenId: string,
    @Param('plantId') plantId: string,
    @Body() body: PlantEnded,
  ): Promise<void> {
    return this.plants.retire(gardenId, plantId, true, body);
  }

  @Post('plants/:plantId/restore')
  @HttpCode(204)
  restore(@Param('gardenId') gardenId: string, @Param('plantId') plantId: string): Promise<void> {
    return this.plants.retire(gardenId, plantId, false);
  }
}
