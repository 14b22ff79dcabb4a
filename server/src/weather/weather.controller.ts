import { Needs } from '../accounts/session.js';
import { Controller, HttpCode, Param, Post } from '@nestjs/common';
import type { WeatherState } from '@candid-leaf/contract';
import { WeatherService } from './weather.service.js';

/** Routes of weather and rain gauge. */
@Controller('api/gardens/:gardenId/weather')
export class WeatherController {
  constructor(private readonly weather: WeatherService) {}

  @Needs('record')
  @Post('pull')
  @HttpCode(200)
  pull(@Param('gardenId') gardenId: string): Promise<WeatherState> {
    return this.weather.pull(gardenId);
  }
}
