import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { GardenInput, type GardenDto, type MyGarden } from '@candid-leaf/contract';
import { AccountId } from '../accounts/session.js';
import { GardensService } from './gardens.service.js';

/** Routes of the gardens themselves. */
@Controller('api/gardens')
export class GardensController {
  constructor(private readonly gardens: GardensService) {}

  @Get()
  list(@AccountId() accountId: string): Promise<MyGarden[]> {
    return this.gardens.listFor(accountId);
  }

  /** The id in the path is new when a garden is created, so the guard can't know it yet. */
  @Put()
  put(@AccountId() accountId: string, @Body() body: GardenInput): Promise<GardenDto> {
    return this.gardens.put(accountId, body);
  }

  @Get(':gardenId')
  async get(@Param('gardenId') gardenId: string): Promise<GardenDto> {
    return this.gardens.dto(await this.gardens.get(gardenId));
  }
}
