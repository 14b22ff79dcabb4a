import { OneLine, IsCalendarDay } from '@candid-leaf/core/records';
import type { Day, DateForm, Units } from '@candid-leaf/core/units';
import { IsString, Matches, MaxLength, MinLength } from 'class-validator';
import { IsId } from './id.js';
import type { TaskDto } from './today.js';
import type { PourDto } from './water.js';

/** A watering list for a helper during absence, behind a link that needs no account. */
export class WateringListInput {
  @IsId()
  id: string;

  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  @IsCalendarDay()
  from: Day;

  @IsCalendarDay()
  to: Day;
}

/** A watering list for someone without an account. */
export interface WateringListDto {
  id: string;
  name: string;
  from: Day;
  to: Day;
  path?: string;
}

/** The list as the helper sees it: nothing else of the garden. */
export interface WateringListView {
  garden: { name: string; units: Units; dateForm: DateForm; today: Day };
  name: string;
  from: Day;
  to: Day;
  /** today's waterings still to do */
  tasks: Pick<TaskDto, 'key' | 'title' | 'where' | 'why' | 'litres' | 'feel'>[];
  /** fruit that must not be picked, and plants nobody may go near, each with its day */
  notices: string[];
  /** what was watered from this list today */
  /** litres are null if the amount is unknown */
  done: { id: string; name: string; litres: number | null }[];
  /** the days of the plan, bed by bed in walking order */
  places: { id: string; name: string; together: boolean; pours: Pick<PourDto, 'id' | 'plants' | 'known' | 'plan'>[] }[];
}

/** One watering of the list, done. */
export class WateringTick {
  @IsId()
  recordId: string;

  @IsString()
  @MaxLength(120)
  @Matches(/^water:[\w-]+$/, { message: 'must be a watering on the list' })
  key: string;
}
