import { type SupportPlan } from '@candid-leaf/core/support';
import { type Rate } from '@candid-leaf/core/helped';
import type { Report } from '@candid-leaf/core/assessment';
import type { cutsOf, FeedingStory, Stands } from '@candid-leaf/core/care';
import type { FeedPlan } from '@candid-leaf/core/nutrition';
import type { DisorderCode, RecordKind, SignCode } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import type { GardenDto } from './gardens.js';
import type { PlaceDto } from './places.js';
import type { PlantDto, PlantEnd } from './plants.js';
import type { RecordDto } from './record-dto.js';
import type { TaskDto } from './today.js';
import type { TreatmentDto } from './treatments.js';
import type { WeatherDto, WeatherState } from './weather.js';

/** What the ribbon shows of one day. */
export interface RibbonDay {
  day: Day;
  weather: WeatherDto | null;
  /** kinds of record made that day, with how many */
  done: Partial<Record<RecordKind, number>>;
  /** tasks due that day */
  due: number;
}

export interface PlantOnView {
  plant: PlantDto;
  /** 0 to 1; null where nothing can be reckoned, or nobody knows what the plant got */
  fractionAvailable: number | null;
  /** there is weather, and still nobody knows what the plant got: its soil is to be felt */
  feelFirst: boolean;
  /** water left on the days of the ribbon, the coming ones as they would go with no watering */
  course: { day: Day; fractionAvailable: number | null }[];
  /** the first watering of the week's plan, per plant */
  next: { date: Day; litres: number } | null;
  /** the leading clear finding, if any */
  finding: { disorder: DisorderCode; label: string; probability: number; harmless: boolean } | null;
  /** signs were given but nothing is clear yet */
  unclear: boolean;
  lastLook: Day | null;
  /** what was seen on it today */
  seenToday: SignCode[];
  /** for its drawing */
  stands: Stands;
}

export interface PlaceOnView {
  place: PlaceDto;
  fractionAvailable: number | null;
  plants: PlantOnView[];
}

export interface GardenView {
  garden: GardenDto;
  ribbon: RibbonDay[];
  places: PlaceOnView[];
  today: TaskDto[];
  weather: WeatherState;
}

/** How it was fed, and what comes next. */
export interface FeedingView {
  plan: FeedPlan;
  /** the plan in words */
  text: string;
  story: FeedingStory | null;
}

/** This week's cuts, and how it is trained. */
export type CutsView = ReturnType<typeof cutsOf>;

/** One plant's page. Each fact stands in it once. */
export interface PlantView {
  garden: GardenDto;
  place: PlaceDto;
  plant: PlantDto;
  /** it has ended: all of this is as it was on that day */
  ended: { on: Day; because: PlantEnd | null } | null;
  report: Report;
  /** of the season, measured and foreseen, the oldest first */
  weather: WeatherDto[];
  /** of the season, of the plant and of its place since it stands there, the newest first */
  records: RecordDto[];
  treatments: TreatmentDto[];
  /** what stands open for it or for its place, with its day: water, feed, cut, tie, spray, pick */
  next: TaskDto[];
  feeding: FeedingView;
  cuts: CutsView;
  /** what holds it up; and, in its flowering time, whether tapping helps */
  tending: { support: SupportPlan; tap: string };
  /** for its drawing */
  stands: Stands;
  /** how often each proposed remedy helped in this garden, by `disorder:remedy` */
  helped: Record<string, Rate>;
}
