import { Injectable } from '@nestjs/common';
import type {
  GardenView,
  Inspection,
  PlaceOnView,
  PlantOnView,
  PlantView,
  RibbonDay,
  TaskDto,
} from '@candid-leaf/contract';
import { addDays, CLEAR_FROM, disorderRow, type Report } from '@candid-leaf/core';
import { GardenBooks, type GardenBook } from '../cases/garden-book.js';
import { InsightService } from '../cases/insight.service.js';
import { gone } from '../common/refusals.js';
import { GardensService } from '../gardens/gardens.service.js';
import { placeDto } from '../places/places.service.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { plantDto } from '../plants/plants.service.js';
import { recordDto } from '../records/records.service.js';
import { TasksService } from '../troubles/tasks.service.js';
import { TroublesService } from '../troubles/troubles.service.js';
import { weatherDto, WeatherService } from '../weather/weather.service.js';

const BACK_DAYS = 14;
const AHEAD_DAYS = 7;
/** How many records a plant's page carries. */
const RECORDS_SHOWN = 300;

@Injectable()
export class ViewsService {
  constructor(
    private readonly books: GardenBooks,
    private readonly insights: InsightService,
    private readonly gardens: GardensService,
    private readonly tasks: TasksService,
    private readonly troubles: TroublesService,
    private readonly weather: WeatherService,
  ) {}

  async garden(gardenId: string): Promise<GardenView> {
    const book = await this.books.open(gardenId);
    const { due, all } = await this.tasks.open(book);
    return {
      garden: this.gardens.dto(book.garden),
      ribbon: ribbon(book, all),
      places: book.places.filter((p) => !p.retiredOn).map((p) => this.place(book, p)),
      today: due,
      weather: await this.weather.state(book.garden),
    };
  }

  async plant(gardenId: string, plantId: string): Promise<PlantView> {
    const book = await this.books.open(gardenId);
    const plant = book.plants.find((p) => p.id === plantId);
    if (!plant) throw gone('plant');
    const place = book.places.find((p) => p.id === plant.placeId)!;
    const insight = this.insights.of(book, plant);
    return {
      garden: this.gardens.dto(book.garden),
      place: placeDto(place),
      plant: plantDto(plant),
      caseFile: insight.caseFile,
      report: insight.report,
      forecast: book.weather.filter((w) => w.kind === 'forecast').map(weatherDto),
      records: book.records
        .filter((r) => r.plantId === plant.id || r.placeId === place.id)
        .reverse()
        .slice(0, RECORDS_SHOWN)
        .map(recordDto),
      troubles: await this.troubles.ofPlant(gardenId, plantId),
    };
  }

  private place(book: GardenBook, place: GardenBook['places'][number]): PlaceOnView {
    const plants = book.plants.filter((p) => p.placeId === place.id && !p.retiredOn).map((p) => this.onView(book, p));
    const fractions = plants.flatMap((p) => (p.fractionAvailable === null ? [] : [p.fractionAvailable]));
    return {
      place: placeDto(place),
      fractionAvailable: fractions.length > 0 ? fractions.reduce((a, b) => a + b, 0) / fractions.length : null,
      plants,
    };
  }

  private onView(book: GardenBook, plant: PlantEntity): PlantOnView {
    const { report } = this.insights.of(book, plant);
    const looks = book.records.filter((r) => r.plantId === plant.id && r.type === 'inspection');
    return {
      plant: plantDto(plant),
      fractionAvailable: report.water.daily.at(-1)?.fractionAvailable ?? null,
      course: [...report.water.daily.slice(-BACK_DAYS - 1), ...report.water.ahead.slice(0, AHEAD_DAYS)].map((d) => ({
        day: d.date,
        fractionAvailable: d.fractionAvailable,
      })),
      next: report.water.nextWatering && {
        date: report.water.nextWatering.date,
        litres: report.water.nextWatering.litres,
      },
      finding: finding(report),
      unclear: report.diagnosis.length > 0 && report.diagnosis[0]!.probability < CLEAR_FROM,
      lastLook: looks.at(-1)?.day ?? null,
      seenToday: looks
        .filter((r) => r.day === book.today)
        .flatMap((r) => (r.data as Inspection).signs.filter((x) => x.present).map((x) => x.sign)),
    };
  }
}

function finding(report: Report): PlantOnView['finding'] {
  const leader = report.diagnosis[0];
  if (!leader || leader.probability < CLEAR_FROM) return null;
  const row = disorderRow(leader.disorder);
  return { disorder: row.code, label: row.label, probability: leader.probability, harmless: row.harmless === true };
}

function ribbon(book: GardenBook, tasks: readonly TaskDto[]): RibbonDay[] {
  return Array.from({ length: BACK_DAYS + 1 + AHEAD_DAYS }, (_, i): RibbonDay => {
    const day = addDays(book.today, i - BACK_DAYS);
    const weather = book.weather.find((w) => w.day === day);
    const done: RibbonDay['done'] = {};
    for (const r of book.records) if (r.day === day) done[r.type] = (done[r.type] ?? 0) + 1;
    const due = tasks.filter((t) => (day === book.today ? t.dueOn <= day : t.dueOn === day)).length;
    return { day, weather: weather ? weatherDto(weather) : null, done, due: day < book.today ? 0 : due };
  });
}
