import { Controller, Get, Module, type DynamicModule, type Provider, type Type } from '@nestjs/common';
import { APP_GUARD, APP_PIPE } from '@nestjs/core';
import { ScheduleModule } from '@nestjs/schedule';
import { ServeStaticModule } from '@nestjs/serve-static';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsController } from './accounts/accounts.controller.js';
import { AccountsService } from './accounts/accounts.service.js';
import { Public } from './accounts/session.js';
import { GardenBooks } from './cases/garden-book.js';
import { InsightService } from './cases/insight.service.js';
import { Clock } from './common/clock.js';
import { edge } from './common/refusals.js';
import { CONFIG, type Config } from './config.js';
import { dataSourceOptions, ENTITIES } from './database/data-source.js';
import { GardenGuard } from './gardens/garden.guard.js';
import { GardensController } from './gardens/gardens.controller.js';
import { GardensService } from './gardens/gardens.service.js';
import { PlacesController } from './places/places.controller.js';
import { PlacesService } from './places/places.service.js';
import { PlantsController } from './plants/plants.controller.js';
import { PlantsService } from './plants/plants.service.js';
import { RecordsController } from './records/records.controller.js';
import { RecordsService } from './records/records.service.js';
import { TasksService } from './troubles/tasks.service.js';
import { TroublesController } from './troubles/troubles.controller.js';
import { TroublesService } from './troubles/troubles.service.js';
import { ViewsController } from './views/views.controller.js';
import { ViewsService } from './views/views.service.js';
import { BenchesController } from './water/benches.controller.js';
import { BenchesService } from './water/benches.service.js';
import { HoseTimer, HttpHoseTimer } from './water/hose-timer.js';
import { PlanController } from './water/plan.controller.js';
import { PlanService } from './water/plan.service.js';
import { TimerService } from './water/timer.service.js';
import { HttpWeatherStation, WeatherStation } from './weather/station.js';
import { WeatherController } from './weather/weather.controller.js';
import { WeatherService } from './weather/weather.service.js';

@Controller('api')
class HealthController {
  @Public()
  @Get('health')
  health(): { ok: true } {
    return { ok: true };
  }
}

const CONTROLLERS: Type[] = [
  HealthController,
  AccountsController,
  GardensController,
  PlacesController,
  PlantsController,
  RecordsController,
  TroublesController,
  ViewsController,
  WeatherController,
  PlanController,
  BenchesController,
];

const SERVICES: Provider[] = [
  Clock,
  AccountsService,
  GardensService,
  PlacesService,
  PlantsService,
  RecordsService,
  GardenBooks,
  InsightService,
  TasksService,
  TroublesService,
  ViewsService,
  WeatherService,
  PlanService,
  TimerService,
  BenchesService,
  { provide: HoseTimer, useClass: HttpHoseTimer },
  { provide: WeatherStation, useClass: HttpWeatherStation },
  { provide: APP_GUARD, useClass: GardenGuard },
  { provide: APP_PIPE, useFactory: edge },
];

@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...dataSourceOptions(config.databaseUrl), retryAttempts: 3, retryDelay: 500 }),
        TypeOrmModule.forFeature(ENTITIES),
        ScheduleModule.forRoot(),
        ...(config.webRoot ? [ServeStaticModule.forRoot({ rootPath: config.webRoot, exclude: ['/api/{*rest}'] })] : []),
      ],
      controllers: CONTROLLERS,
      providers: [{ provide: CONFIG, useValue: config }, ...SERVICES],
    };
  }
}
