import { Body, Controller, Param, Put } from '@nestjs/common';
import { PlantInput, type PlantDto } from '@candid-leaf/contract';
import { AccountId } from '../accounts/session.js';
import { RootedService } from './rooted.service.js';

/** A rooted sucker becomes a plant. */
@Controller('api/gardens/:gardenId')
export class RootedController {
  constructor(private readonly rooted: RootedService) {}

  @Put('plants/:plantId/sucker')
  planted(
    @Param('gardenId') gardenId: string,
    @Param('plantId') motherId: string,
    @AccountId() accountId: string,
    @Body() body: PlantInput,
  ): Promise<PlantDto> {
    return this.rooted.planted(gardenId, { accountId, motherId }, body);
  }
}
