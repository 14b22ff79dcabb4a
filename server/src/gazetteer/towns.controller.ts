import { TownAt, TownsCalled, type TownDto } from '@candid-leaf/contract';
import { Controller, Get, Query } from '@nestjs/common';
import { townNear, townsCalled } from './gazetteer.js';

/** Locations for gardens, by a town's name or by a point. */
@Controller('api/towns')
export class TownsController {
  @Get()
  called(@Query() { name }: TownsCalled): TownDto[] {
    return townsCalled(name);
  }

  @Get('near')
  near(@Query() { latitude, longitude }: TownAt): TownDto {
    return townNear(latitude, longitude);
  }
}
