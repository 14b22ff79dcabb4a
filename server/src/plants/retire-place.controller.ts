import { Body, Controller, HttpCode, Param, Post } from '@nestjs/common';
import { PlaceRetired, type PlaceRetiredDto } from '@candid-leaf/contract';
import { RetirePlaceService } from './retire-place.service.js';

/** Archives beds and pots, with the plants that stand in them. */
@Controller('api/gardens/:gardenId/places')
export class RetirePlaceController {
  constructor(private readonly places: RetirePlaceService) {}

  @Post(':placeId/retire')
  @HttpCode(200)
  retire(
    @Param('gardenId') gardenId: string,
    @Param('placeId') placeId: string,
    @Body() body: PlaceRetired,
  ): Promise<PlaceRetiredDto> {
    return this.places.run(gardenId, placeId, body);
  }
}
