import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import {
  type NewStation,
  type OwnStationDto,
  type SoilProbeDto,
  SoilProbeInput,
  SoilProbePoint,
  StationReadingInput,
} from '@candid-leaf/contract';
import { AccountId, Needs, PeopleOnly } from '../../accounts/session.js';
import { WeatherService } from '../weather.service.js';
import { OwnStations } from './own-stations.service.js';
import { SoilProbes } from './soil-probes.service.js';

/** Routes of a garden's own station. */
@Controller('api/gardens/:gardenId/weather/station')
export class StationsController {
  constructor(
    private readonly stations: OwnStations,
    private readonly probes: SoilProbes,
    private readonly weather: WeatherService,
  ) {}

  @Needs('record')
  @Get()
  async state(@Param('gardenId') gardenId: string): Promise<{ station: OwnStationDto | null }> {
    return { station: await this.stations.state(gardenId) };
  }

  @PeopleOnly()
  @Post()
  @HttpCode(200)
  connect(@Param('gardenId') gardenId: string): Promise<NewStation> {
    return this.stations.connect(gardenId);
  }

  @PeopleOnly()
  @Delete()
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string): Promise<void> {
    return this.stations.remove(gardenId);
  }

  @Needs('record')
  @Get('probes')
  list(@Param('gardenId') gardenId: string): Promise<SoilProbeDto[]> {
    return this.probes.list(gardenId);
  }

  @Put('probes/:channel')
  @HttpCode(204)
  place(
    @Param('gardenId') gardenId: string,
    @Param('channel') channel: string,
    @AccountId() accountId: string,
    @Body() body: SoilProbeInput,
  ): Promise<void> {
    return this.probes.place(gardenId, accountId, channel, body);
  }

  @Post('probes/:channel/point')
  @HttpCode(204)
  point(
    @Param('gardenId') gardenId: string,
    @Param('channel') channel: string,
    @Body() body: SoilProbePoint,
  ): Promise<void> {
    return this.probes.point(gardenId, channel, body);
  }

  @Post('reading')
  @HttpCode(204)
  async settle(@Param('gardenId') gardenId: string, @Body() body: StationReadingInput): Promise<void> {
    await this.stations.settle(gardenId, body.reading);
    await this.weather.pull(gardenId);
  }
}
