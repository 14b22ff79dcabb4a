import { ReportsModule } from './reports/reports.module.js';
import { CalendarModule } from './calendar/calendar.module.js';
import { VarietiesModule } from './varieties/varieties.module.js';
import { SeasonModule } from './season/season.module.js';
import { SoFarModule } from './so-far/so-far.module.js';
import { TendingModule } from './tending/tending.module.js';
import { TrialsModule } from './trials/trials.module.js';
import { PruningModule } from './pruning/pruning.module.js';
import { Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_GUARD, APP_PIPE } from '@nestjs/core';
import { ScheduleModule } from '@nestjs/schedule';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsModule } from './accounts/accounts.module.js';
import { AssessmentModule } from './assessment/assessment.module.js';
import type { Config } from './config.js';
import { dataSourceOptions } from './database/data-source.js';
import { openMigrated } from './database/migrate.js';
import { FeedingModule } from './feeding/feeding.module.js';
import { FailuresFilter } from './gate/failures.filter.js';
import { GazetteerModule } from './gazetteer/gazetteer.module.js';
import { GardenGuard } from './gardens/garden.guard.js';
import { GardensModule } from './gardens/gardens.module.js';
import { MessagesModule } from './messages/messages.module.js';
import { HealthModule } from './health/health.module.js';
import { PlacesModule } from './places/places.module.js';
import { PlantsModule } from './plants/plants.module.js';
import { PracticeModule } from './practice/practice.module.js';
import { ProductsModule } from './products/products.module.js';
import { ProtectionModule } from './protection/protection.module.js';
import { GardenWeight } from './workers/garden-weight.service.js';
import { ThreadedWorkers } from './workers/threaded-workers.js';
import { RecordsModule } from './records/records.module.js';
import { validationPipe } from './shared/http-errors.js';
import { WalksModule } from './walks/walks.module.js';
import { InlineWorkers } from './shared/workers.js';
import { SharedModule } from './shared/shared.module.js';
import { SoilModule } from './soil/soil.module.js';
import { SprayingModule } from './spraying/spraying.module.js';
import { TodayModule } from './today/today.module.js';
import { TreatmentsModule } from './treatments/treatments.module.js';
import { ViewsModule } from './views/views.module.js';
import { TransferModule } from './transfer/transfer.module.js';
import { PhotosModule } from './photos/photos.module.js';
import { PeopleModule } from './people/people.module.js';
import { WateringListModule } from './watering-list/watering-list.module.js';
import { WaterModule } from './water/water.module.js';
import { WeatherModule } from './weather/weather.module.js';

const FEATURES = [
  HealthModule,
  AccountsModule,
  GardensModule,
  GazetteerModule,
  PlacesModule,
  PlantsModule,
  PracticeModule,
  ProductsModule,
  VarietiesModule,
  RecordsModule,
  WeatherModule,
  AssessmentModule,
  TodayModule,
  WaterModule,
  TreatmentsModule,
  ProtectionModule,
  FeedingModule,
  PruningModule,
  TendingModule,
  SoFarModule,
  SprayingModule,
  SoilModule,
  TrialsModule,
  WalksModule,
  SeasonModule,
  ReportsModule,
  CalendarModule,
  ViewsModule,
  PeopleModule,
  PhotosModule,
  TransferModule,
  WateringListModule,
  MessagesModule,
];

/** The features, the one guard, and the one validation of input. */
@Module({})
export class AppModule {
  /** @param options `background`: whether scheduled work runs here */
  static with(config: Config, { background = true } = {}): DynamicModule {
    const workers = config.workers > 0 ? new ThreadedWorkers(config) : new InlineWorkers();
    return {
      module: AppModule,
      imports: [
        SharedModule.with(config, workers),
        TypeOrmModule.forRootAsync({
          useFactory: () => ({ ...dataSourceOptions(config.databaseUrl), retryAttempts: 0, verboseRetryLog: false }),
          dataSourceFactory: () => openMigrated(dataSourceOptions(config.databaseUrl)),
        }),
        ...(background ? [ScheduleModule.forRoot()] : []),
        ...FEATURES,
      ],
      providers: [
        { provide: APP_GUARD, useClass: GardenGuard },
        { provide: APP_PIPE, useFactory: validationPipe },
        { provide: APP_FILTER, useClass: FailuresFilter },
        GardenWeight,
      ],
    };
  }
}
