import type { BarrelLevel } from '@candid-leaf/core/water';
import { type SupportPlan } from '@candid-leaf/core/support';
import { type Rate } from '@candid-leaf/core/helped';
import type { Report } from '@candid-leaf/core/assessment';
import type { cutsOf, FeedingStory, FeedOutlook, Stands } from '@candid-leaf/core/care';
import type { Prevention } from '@candid-leaf/core/prevented';
import type { ComingRisk } from '@candid-leaf/core/risk';
import type { FeedPlan } from '@candid-leaf/core/nutrition';
import type { DisorderCode, RecordType, SignCode } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import type { GardenDto } from './gardens.js';
import type { PlaceDto } from './places.js';
import type { GrowthDto, PlantDto, PlantEnd } from './plants.js';
import type { RecordDto } from './record-dto.js';
import type { TaskDto } from './today.js';
import type { TreatmentDto } from './treatments.js';
import type { WeatherDto, WeatherState } from './weather.js';

/** What the ribbon shows for one day. */
export interface RibbonDay {
  day: Day;
  weather: WeatherDto | null;
  /** record types made that day, with their counts */
  done: Partial<Record<RecordType, number>>;
  /** tasks due that day */
  due: number;
}

/** A plant on the garden page. */
export interface PlantOnView {
  /** `stage` and `heightM` are what was last entered in its form */
  plant: PlantDto;
  growth: GrowthDto;
  /** 0 to 1; null if it can't be computed, or the watering history is unknown */
  fractionAvailable: number | null;
  /** there is weather, but the watering history is unknown: check the soil */
  feelFirst: boolean;
  /** water left on the ribbon's days, the coming ones without watering */
  course: { day: Day; fractionAvailable: number | null }[];
  /** first watering of the week's plan, per plant */
  next: { date: Day; litres: number } | null;
  /** the leading clear finding, if any */
  finding: { disorder: DisorderCode; label: string; probability: number; harmless: boolean } | null;
  /** signs were recorded but nothing is clear yet */
  unclear: boolean;
  lastLook: Day | null;
  /** signs seen on it today */
  seenToday: SignCode[];
  /** for its drawing */
  stands: Stands;
}

/** A bed or pot on the garden page. */
export interface PlaceOnView {
  place: PlaceDto;
  /** the plant that its plan goes by; null if its pots are watered one by one, or nothing grows there */
  speakerId: string | null;
  plants: PlantOnView[];
}

/** What comes within the week, in one line. */
export interface WeekLine {
  key: string;
  on: Day;
  /** with its amount */
  title: string;
  /** where it belongs, for its page */
  placeId: string | null;
  plantId: string | null;
  /** a risk or a check: something to keep an eye on */
  watch: boolean;
}

/** Everything on the garden page. */
export interface GardenView {
  garden: GardenDto;
  ribbon: RibbonDay[];
  places: PlaceOnView[];
  today: TaskDto[];
  /** the six days after today, by day */
  week: WeekLine[];
  /** what is in the rain barrel; null where none is described */
  barrel: BarrelLevel | null;
  weather: WeatherState;
}

/** How it was fed, and what comes next. */
interface FeedingView {
  plan: FeedPlan;
  /** the plan in words */
  text: string;
  story: FeedingStory | null;
  /** the season to come, if the plan goes on; null if no feed comes */
  outlook: FeedOutlook | null;
}

/** This week's cuts, and its training. */
type CutsView = ReturnType<typeof cutsOf>;

/** One plant's page. Each fact is in it once. */
export interface PlantView {
  garden: GardenDto;
  place: PlaceDto;
  /** `stage` and `heightM` are what was last entered in its form */
  plant: PlantDto;
  /** name of its variety, if known */
  variety: string | null;
  growth: GrowthDto;
  /** archived: everything is as on that day */
  ended: { on: Day; because: PlantEnd | null } | null;
  report: Report;
  /** what would have lowered the risk of the leading finding, most first; at most three */
  prevented: Prevention[];
  /** what the next seven days may bring, soonest first; empty in a quiet week */
  coming: ComingRisk[];
  /** of the season, measured and forecast, oldest first */
  weather: WeatherDto[];
  /** of the season, for the plant and for its bed or pot since it grows there, newest first */
  records: RecordDto[];
  treatments: TreatmentDto[];
  /** open tasks for this plant or its bed or pot, with due dates: water, feed, cut, tie, spray, pick */
  next: TaskDto[];
  feeding: FeedingView;
  cuts: CutsView;
  /** its support and, while flowering, whether tapping helps */
  tending: { support: SupportPlan; tap: string };
  /** for its drawing */
  stands: Stands;
  /** how often each proposed remedy helped in this garden, by `disorder:remedy` */
  helped: Record<string, Rate>;
}
