import { Module, type OnModuleInit } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { GardensService } from '../gardens/gardens.service.js';
import { HttpWeatherStation, WeatherStation } from './station.js';
import { WeatherController } from './weather.controller.js';
import { WeatherService } from './weather.service.js';

/** Weather from the station, and gauge readings. */
@Module({
  imports: [GardensModule],
  controllers: [WeatherController],
  providers: [WeatherService, { provide: WeatherStation, useClass: HttpWeatherStation }],
  exports: [WeatherService],
})
export class WeatherModule implements OnModuleInit {
  constructor(
    private readonly gardens: GardensService,
    private readonly weather: WeatherService,
  ) {}

  onModuleInit(): void {
    this.gardens.onSaved((garden, moved) => this.weather.follow(garden, moved));
  }
}
