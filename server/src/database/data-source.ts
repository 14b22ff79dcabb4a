import { CalendarLinkEntity } from '../calendar/calendar.entity.js';
import { VarietyEntity } from '../varieties/variety.entity.js';
import { SeasonNotesEntity } from '../season/season-notes.entity.js';
import { PlantingEntity } from '../season/planting.entity.js';
import { TrialEntity } from '../trials/trial.entity.js';
import type { DataSourceOptions } from 'typeorm';
import { CONNECT_MS } from '../config.js';
import { AccessKeyEntity } from '../accounts/access-key.entity.js';
import { AccountEntity } from '../accounts/account.entity.js';
import { InvitationEntity } from '../accounts/invitation.entity.js';
import { PasswordLinkEntity } from '../accounts/password-link.entity.js';
import { PushDeviceEntity } from '../accounts/push-device.entity.js';
import { GardenEntity } from '../gardens/garden.entity.js';
import { MembershipEntity } from '../gardens/membership.entity.js';
import { MessageChoiceEntity, MessageEntity, ServerKeyEntity } from '../messages/message.entities.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { PracticeAnswerEntity } from '../practice/practice-answer.entity.js';
import { ProductEntity } from '../products/product.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { ShownSinceEntity } from '../today/shown-since.entity.js';
import { TaskPaceEntity } from '../today/task-pace.entity.js';
import { PostponementEntity } from '../today/postponement.entity.js';
import { TreatmentTaskEntity } from '../treatments/treatment-task.entity.js';
import { TreatmentEntity } from '../treatments/treatment.entity.js';
import { KeptAnswerEntity } from '../weather/sources/kept-answer.entity.js';
import { SoilChannelEntity, StationHourEntity, WeatherStationEntity } from '../weather/stations/station.entities.js';
import { WeatherEntity } from '../weather/weather.entity.js';
import { WateringListEntity } from '../watering-list/watering-list.entity.js';
import { BenchEntity } from '../water/bench.entity.js';
import { HoseTimerEntity, TimerRunEntity, TimerStateEntity } from '../water/timer.entities.js';
import { ImportEntity } from '../transfer/import.entity.js';
import { ImportJobEntity } from '../transfer/import-job.entity.js';
import { PhotoEntity } from '../photos/photo.entity.js';
import { Initial1700000000000 } from './migrations/1700000000000-initial.js';
import { WaterPlan1700000100000 } from './migrations/1700000100000-water-plan.js';
import { Rooms1700000200000 } from './migrations/1700000200000-rooms.js';
import { Trust1700000300000 } from './migrations/1700000300000-trust.js';
import { PlacesAndSteps1700000400000 } from './migrations/1700000400000-places-and-steps.js';
import { Rounds1700000500000 } from './migrations/1700000500000-rounds.js';
import { Care1700000600000 } from './migrations/1700000600000-care.js';
import { Season1700000700000 } from './migrations/1700000700000-season.js';
import { Raising1700000800000 } from './migrations/1700000800000-raising.js';
import { People1700000900000 } from './migrations/1700000900000-people.js';
import { Photos1700001000000 } from './migrations/1700001000000-photos.js';
import { Transfer1700001100000 } from './migrations/1700001100000-transfer.js';
import { Practice1700001200000 } from './migrations/1700001200000-practice.js';
import { SeasonYears1700001300000 } from './migrations/1700001300000-season-years.js';
import { PlainNames1700001400000 } from './migrations/1700001400000-plain-names.js';
import { Growth1700001600000 } from './migrations/1700001600000-growth.js';
import { EnteredOn1700001700000 } from './migrations/1700001700000-entered-on.js';
import { ShownSince1700001800000 } from './migrations/1700001800000-shown-since.js';
import { Practised1700001900000 } from './migrations/1700001900000-practised.js';
import { CopperAndPeppers1700002000000 } from './migrations/1700002000000-copper-and-peppers.js';
import { LinksHaveMakers1700002100000 } from './migrations/1700002100000-links-have-makers.js';
import { ImportJobs1700002200000 } from './migrations/1700002200000-import-jobs.js';
import { BedRules1700002300000 } from './migrations/1700002300000-bed-rules.js';
import { FoundOnPlants1700002400000 } from './migrations/1700002400000-found-on-plants.js';
import { WeatherSources1700002500000 } from './migrations/1700002500000-weather-sources.js';
import { Messages1700002600000 } from './migrations/1700002600000-messages.js';
import { SeedlingVessels1700002700000 } from './migrations/1700002700000-seedling-vessels.js';
import { ShareCounts1700002800000 } from './migrations/1700002800000-share-counts.js';
import { WalksAndCompanions1700001500000 } from './migrations/1700001500000-walks-and-companions.js';

const ENTITIES = [
  AccountEntity,
  GardenEntity,
  MembershipEntity,
  PlaceEntity,
  PlantEntity,
  RecordEntity,
  TreatmentEntity,
  TreatmentTaskEntity,
  PostponementEntity,
  WeatherEntity,
  BenchEntity,
  ProductEntity,
  TrialEntity,
  TimerRunEntity,
  TimerStateEntity,
  HoseTimerEntity,
  VarietyEntity,
  PlantingEntity,
  CalendarLinkEntity,
  TaskPaceEntity,
  ShownSinceEntity,
  SeasonNotesEntity,
  PasswordLinkEntity,
  AccessKeyEntity,
  InvitationEntity,
  WateringListEntity,
  PhotoEntity,
  ImportEntity,
  ImportJobEntity,
  PracticeAnswerEntity,
  KeptAnswerEntity,
  WeatherStationEntity,
  StationHourEntity,
  SoilChannelEntity,
  PushDeviceEntity,
  MessageChoiceEntity,
  MessageEntity,
  ServerKeyEntity,
];

/** `dateStrings` for DATE keeps calendar days unchanged, whatever the machine's time zone. */
export const dataSourceOptions = (url: string): DataSourceOptions & { url: string } => ({
  type: 'mariadb',
  url,
  entities: ENTITIES,
  migrations: [
    Initial1700000000000,
    WaterPlan1700000100000,
    Rooms1700000200000,
    Trust1700000300000,
    PlacesAndSteps1700000400000,
    Rounds1700000500000,
    Care1700000600000,
    Season1700000700000,
    Raising1700000800000,
    People1700000900000,
    Photos1700001000000,
    Transfer1700001100000,
    Practice1700001200000,
    SeasonYears1700001300000,
    PlainNames1700001400000,
    WalksAndCompanions1700001500000,
    Growth1700001600000,
    EnteredOn1700001700000,
    ShownSince1700001800000,
    Practised1700001900000,
    CopperAndPeppers1700002000000,
    LinksHaveMakers1700002100000,
    ImportJobs1700002200000,
    BedRules1700002300000,
    FoundOnPlants1700002400000,
    WeatherSources1700002500000,
    Messages1700002600000,
    SeedlingVessels1700002700000,
    ShareCounts1700002800000,
  ],
  migrationsRun: false,
  synchronize: false,
  timezone: 'Z',
  dateStrings: ['DATE'],
  charset: 'utf8mb4',
  poolSize: 10,
  connectTimeout: CONNECT_MS,
  // a failed statement contains what people wrote: do not log it
  logging: false,
});
