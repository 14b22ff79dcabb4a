import { tapInWords } from '@candid-leaf/core/pollination';
import { helpedKey, orderByRate, type Rate } from '@candid-leaf/core/helped';
import { Inject, Injectable } from '@nestjs/common';
import {
  type GardenView,
  type PlaceOnView,
  type PlantOnView,
  type PlantView,
  type RibbonDay,
  type TaskDto,
} from '@candid-leaf/contract';
import type { PlaceAssessment, PlantAssessment, Report } from '@candid-leaf/core/assessment';
import { feedingStory, cutsOf, standsOf, supportOf, tapOf } from '@candid-leaf/core/care';
import { caseFileOf, type CaseFile } from '@candid-leaf/core/casefile';
import { feedInWords } from '@candid-leaf/core/nutrition';
import { CLEAR_FROM, disorderRow, type Remedy } from '@candid-leaf/core/diagnosis';
import type { Inspection, TrussCount } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { Assessments } from '../assessment/assessments.service.js';
import { growthDto, growthIn } from '../assessment/growth.js';
import { plantCaseOf } from '../assessment/plant-case.js';
import { recordsOfPlant } from '../assessment/own-records.js';
import { livePlaces, livePlantsIn, Snapshots, type GardenSnapshot } from '../assessment/snapshots.service.js';
import { feedPlanOf, outlookOf } from '../feeding/feed-of-plants.js';
import { GardensService } from '../gardens/gardens.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { placeDto } from '../places/places.service.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { plantDto } from '../plants/plants.service.js';
import { ProductsService } from '../products/products.service.js';
import { CONFIG, type Config } from '../config.js';
import { recordDto } from '../records/records.service.js';
import { notFound } from '../shared/http-errors.js';
import { thisWeek } from '../today/this-week.js';
import { TodayService } from '../today/today.service.js';
import { barrelIn } from '../water/barrel.js';
import { TreatmentsService } from '../treatments/treatments.service.js';
import { weatherDto } from '../weather/weather-days.js';
import { stateOf } from '../weather/outside-weather.service.js';

const BACK_DAYS = 14;
const AHEAD_DAYS = 7;
/** Most records on a plant's page. */
const RECORDS_SHOWN = 300;

/** Builds the screens' views from one snapshot and its assessments. */
@Injectable()
export class ViewsService {
  constructor(
    private readonly snapshots: Snapshots,
    private readonly assessments: Assessments,
    private readonly gardens: GardensService,
    private readonly today: TodayService,
    private readonly treatments: TreatmentsService,
    private readonly products: ProductsService,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  async garden(gardenId: string): Promise<GardenView> {
    const s = await this.snapshots.load(gardenId);
    const assessed = await this.assessments.all(s);
    const { due, all } = await this.today.list(s);
    return {
      garden: this.gardens.dto(s.garden),
      ribbon: ribbon(s, all),
      places: livePlaces(s).map((p) => placeOnView(s, p, assessed.get(p.id))),
      today: due,
      week: thisWeek(all, s.today, s.format),
      barrel: barrelIn(s),
      weather: stateOf(s.garden, s.weather, this.config),
    };
  }

  async plant(gardenId: string, plantId: string): Promise<PlantView> {
    const { s, ended } = await this.standing(gardenId, plantId);
    const { plant, place } = find(s, plantId);
    const own = await this.assessments.ofPlant(s, plant);
    const { report } = own;
    const products = await this.products.all(gardenId);
    const plan = feedPlanOf(s, place, own, products);
    const story = feedingStory(own);
    const helped = await this.treatments.helped(gardenId);
    // nothing is due for an archived plant
    const { all } = ended ? { all: [] } : await this.today.list(s);
    return {
      garden: { ...this.gardens.dto(s.garden), today: s.today },
      place: placeDto(place),
      plant: plantDto(plant),
      variety: s.varietyOf(plant)?.name ?? null,
      growth: growthDto(growthIn(s, plant, place)),
      ended,
      report: { ...report, remedies: inOwnOrder(report.remedies, helped) },
      prevented: this.assessments.prevented(s, place, plant, own),
      coming: ended ? [] : await this.assessments.coming(s, place, plant),
      weather: s.weather.map(weatherDto),
      records: recordsOfPlant(s, plant).reverse().slice(0, RECORDS_SHOWN).map(recordDto),
      treatments: await this.treatments.ofPlant(gardenId, plantId),
      next: all.filter(
        (t) =>
          // what is coming for this plant is listed by itself
          t.source !== 'ahead' &&
          (t.plantId === plantId ||
            (t.plantId === null && t.placeId === place.id && (t.plantIds?.includes(plantId) ?? true))),
      ),
      cuts: cutsOf(own, plant.training),
      helped: Object.fromEntries(helped),
      tending: { support: supportOf(own, s.garden.stock ?? {}), tap: tapInWords(tapOf(own), s.format) },
      stands: standsOf(own, s.garden.stock ?? {}, countsOf(s, plant.id)),
      feeding: {
        plan,
        text: feedInWords(plan, s.today, s.format),
        story,
        outlook: ended ? null : outlookOf(s, place, own, { plan, story, products }),
      },
    };
  }

  async caseFile(gardenId: string, plantId: string): Promise<CaseFile> {
    const { s } = await this.standing(gardenId, plantId);
    const { plant, place } = find(s, plantId);
    return caseFileOf(plantCaseOf(s, plant, place));
  }

  /** Returns the garden of a plant; for an archived one, the garden on its last day, in its season. */
  private async standing(gardenId: string, plantId: string): Promise<{ s: GardenSnapshot; ended: PlantView['ended'] }> {
    const s = await this.snapshots.load(gardenId);
    const { plant } = find(s, plantId);
    if (!plant.retiredOn || plant.retiredOn > s.today) return { s, ended: null };
    const { retiredOn: on, endedBecause: because } = plant;
    return { s: await this.snapshots.asOf(gardenId, on), ended: { on, because } };
  }
}

/** Within one rung and step, remedies that clearly helped here more often come first. */
const inOwnOrder = (remedies: readonly Remedy[], helped: ReadonlyMap<string, Rate>): Remedy[] =>
  orderByRate(
    remedies,
    (r) => `${r.forDisorder} ${r.step} ${r.rung}`,
    (r) => helped.get(helpedKey(r.forDisorder, r.remedy)),
  );

function find(s: GardenSnapshot, plantId: string): { plant: PlantEntity; place: PlaceEntity } {
  const plant = s.plants.find((p) => p.id === plantId);
  const place = s.places.find((p) => p.id === plant?.placeId);
  if (!plant || !place) throw notFound('plant');
  return { plant, place };
}

function placeOnView(s: GardenSnapshot, place: PlaceEntity, assessed: PlaceAssessment | undefined): PlaceOnView {
  const plants = livePlantsIn(s, place.id).flatMap((plant) => {
    const own = assessed?.plants.get(plant.id);
    return own ? [plantOnView(s, plant, place, own)] : [];
  });
  const { together, pours } = assessed?.plan ?? { together: false, pours: [] };
  return { place: placeDto(place), speakerId: (together && pours[0]?.speakerId) || null, plants };
}

function plantOnView(s: GardenSnapshot, plant: PlantEntity, place: PlaceEntity, own: PlantAssessment): PlantOnView {
  const { report } = own;
  const looks = s.recordsOf(plant.id).filter((r) => r.type === 'inspection');
  const { daily, ahead, nextWatering, known } = report.water;
  return {
    plant: plantDto(plant),
    growth: growthDto(growthIn(s, plant, place)),
    fractionAvailable: known ? (daily.at(-1)?.fractionAvailable ?? null) : null,
    feelFirst: daily.length > 0 && !known,
    course: [...daily.slice(-BACK_DAYS - 1), ...ahead.slice(0, AHEAD_DAYS).map((d) => ({ ...d, known }))].map((d) => ({
      day: d.date,
      fractionAvailable: d.known ? d.fractionAvailable : null,
    })),
    next: nextWatering && { date: nextWatering.date, litres: nextWatering.litres },
    finding: leadingFinding(report),
    unclear: (report.diagnosis[0]?.probability ?? 1) < CLEAR_FROM,
    lastLook: looks.at(-1)?.day ?? null,
    seenToday: looks
      .filter((r) => r.day === s.today)
      .flatMap((r) => (r.data as Inspection).signs.filter((seen) => seen.present).map((seen) => seen.sign)),
    stands: standsOf(own, s.garden.stock ?? {}, countsOf(s, plant.id)),
  };
}

/** Returns its trusses as counted. */
const countsOf = (s: GardenSnapshot, plantId: string): TrussCount[] =>
  s
    .recordsOf(plantId)
    .filter((r) => r.type === 'truss-count')
    .map((r) => r.data as TrussCount);

function leadingFinding(report: Report): PlantOnView['finding'] {
  const [leader] = report.diagnosis;
  if (!leader || leader.probability < CLEAR_FROM) return null;
  const row = disorderRow(leader.disorder);
  return { disorder: row.code, label: row.label, probability: leader.probability, harmless: row.harmless === true };
}

function ribbon(s: GardenSnapshot, tasks: readonly TaskDto[]): RibbonDay[] {
  const first = addDays(s.today, -BACK_DAYS);
  const days = new Map<string, RibbonDay>();
  for (let i = 0; i <= BACK_DAYS + AHEAD_DAYS; i++) {
    const day = addDays(first, i);
    days.set(day, { day, weather: null, done: {}, due: 0 });
  }
  for (const w of s.weather) {
    const on = days.get(w.day);
    if (on) on.weather = weatherDto(w);
  }
  for (const on of days.values()) for (const r of s.recordsOn(on.day)) on.done[r.type] = (on.done[r.type] ?? 0) + 1;
  for (const t of tasks) {
    // overdue counts as due today
    const on = days.get(t.dueOn < s.today ? s.today : t.dueOn);
    if (on) on.due += 1;
  }
  return [...days.values()];
}
