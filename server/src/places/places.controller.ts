import { Body, Controller, HttpCode, Param, Post, Put } from '@nestjs/common';
import { NewOrder, PlaceInput, type PlaceDto } from '@candid-leaf/contract';
import { PlacesService } from './places.service.js';

/** Routes of beds and pots. */
@Controller('api/gardens/:gardenId/places')
export class PlacesController {
  constructor(private readonly places: PlacesService) {}

  @Put()
  put(@Param('gardenId') gardenId: string, @Body() body: PlaceInput): Promise<PlaceDto> {
    return this.places.put(gardenId, body);
  }

  @Post('order')
  @HttpCode(204)
  order(@Param('gardenId') gardenId: string, @Body() body: NewOrder): Promise<void> {
    return this.places.order(gardenId, body.ids);
  }

  @Post(':placeId/restore')
  @HttpCode(204)
  restore(@Param('gardenId') gardenId: string, @Param('placeId') placeId: string): Promise<void> {
    return this.places.restore(gardenId, placeId);
  }
}
