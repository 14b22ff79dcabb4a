import { Body, Controller, HttpCode, Param, Post, Put } from '@nestjs/common';
import { GaugeReading, type WeatherState } from '@candid-leaf/contract';
import { isDay } from '@candid-leaf/core/units';
import { notFound } from '../shared/http-errors.js';
import { WeatherService } from './weather.service.js';

@Controller('api/gardens/:gardenId/weather')
export class WeatherController {
  constructor(private readonly weather: WeatherService) {}

  @Post('pull')
  @HttpCode(200)
  pull(@Param('gardenId') gardenId: string): Promise<WeatherState> {
    return this.weather.pull(gardenId);
  }

  @Put(':day/gauge')
  @HttpCode(204)
  gauge(@Param('gardenId') gardenId: string, @Param('day') day: string, @Body() body: GaugeReading): Promise<void> {
    if (!isDay(day)) throw notFound('day');
    return this.weather.gauge(gardenId, day, body.rainMm ?? null);
  }
}
