import { Module, type OnModuleInit } from '@nestjs/common';
import { GardensModule } from '../gardens/gardens.module.js';
import { GardensService } from '../gardens/gardens.service.js';
import { OutsideWeather } from './outside-weather.service.js';
import { KeptAnswers } from './sources/kept-answers.service.js';
import { weatherSource } from './sources/provider.js';
import { ServicesController } from './sources/services.controller.js';
import { CsvFolder } from './stations/csv-folder.service.js';
import { MqttSensors } from './stations/mqtt-sensors.service.js';
import { OwnStations } from './stations/own-stations.service.js';
import { SoilProbes } from './stations/soil-probes.service.js';
import { StationsController } from './stations/stations.controller.js';
import { UploadLimits } from './stations/upload-limits.js';
import { UploadsController } from './stations/uploads.controller.js';
import { WeatherController } from './weather.controller.js';
import { WeatherService } from './weather.service.js';

/** Weather from services and from the gardens' own stations. */
@Module({
  imports: [GardensModule],
  controllers: [WeatherController, ServicesController, StationsController, UploadsController],
  providers: [
    WeatherService,
    OutsideWeather,
    KeptAnswers,
    OwnStations,
    SoilProbes,
    UploadLimits,
    MqttSensors,
    CsvFolder,
    weatherSource,
  ],
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
