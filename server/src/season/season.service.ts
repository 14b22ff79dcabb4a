import { Injectable } from '@nestjs/common';
import type { SeasonView, YearLine } from '@candid-leaf/contract';
import {
  bandInWords,
  bandExplained,
  DATE_WORDS,
  needsOf,
  type Band,
  type DateKind,
  type DatesQuestion,
  type Supported,
} from '@candid-leaf/core/planning';
import type { Picking } from '@candid-leaf/core/records';
import { growingYearOf } from '@candid-leaf/core/season';
import { recordsOfPlant, supportIn } from '../assessment/own-records.js';
import { Snapshots, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import type { PlantingEntity } from './planting.entity.js';
import {
  hottestOf,
  wereNibbled,
  doneOf,
  furthestOf,
  datesOf,
  varietyName,
  varietyDatesOf,
  modeOf,
  nameOf,
  placeOf,
  groundOf,
  plantingOnView,
  seasonOf,
  yearOf,
} from './planting-on-view.js';
import { secondIn } from './second.js';
import { stoodIn } from './stood.js';
import { SeasonNotesService } from './season-notes.service.js';
import { PlantingsService } from './plantings.service.js';

/** Most lines that can be read at a glance. */
const MOST_LINES = 14;
const BEFORE_OUT: ReadonlySet<DateKind> = new Set<DateKind>(['sow', 'pot-on', 'harden']);
const STILL: ReadonlySet<DateKind> = new Set<DateKind>(['last-planting', 'second-sowing']);
type Done = Pick<DatesQuestion, 'plantedOn' | 'sownOn' | 'pickedOn' | 'second' | 'progress'>;

/** The season page: where the year stands, and what is planned. */
@Injectable()
export class SeasonService {
  constructor(
    private readonly snapshots: Snapshots,
    private readonly plantings: PlantingsService,
    private readonly notes: SeasonNotesService,
  ) {}

  async view(gardenId: string, asked?: number): Promise<SeasonView> {
    const today = await this.snapshots.load(gardenId);
    const now = growingYearOf(today.today, today.garden.latitude, modeOf(today));
    const year = asked ?? now.year;
    const season = seasonOf(today, year);
    // an earlier season uses its own records and weather
    const past = season.to < today.today;
    const s = past ? { ...(await this.snapshots.asOf(gardenId, season.to)), plants: today.plants } : today;
    const all = await this.plantings.of(gardenId);
    const here = { nibbled: wereNibbled(all), hottestC: hottestOf(s) };
    const own = all.filter((p) => p.year === year);
    const plants = s.plants.filter((p) => p.transplantedOn && yearOf(s, p.transplantedOn) === year);
    return {
      season,
      seasons: this.seasons(today, all, now.year).map((y) => seasonOf(s, y)),
      today: today.today,
      past,
      lines: linesOf(s, year, own, plants, !past),
      plantings: own.map((p) => plantingOnView(s, p, here)),
      stood: stoodIn(today, year),
      notes: await this.notes.of(gardenId, year),
      before: await this.lookBack(today, year - 1),
      grounds: Object.fromEntries(s.places.map((p) => [p.id, groundOf(p)])),
      second: year === now.year ? secondIn(today, year) : null,
      ...here,
      needs: past ? null : needsIn(s, own, plants),
    };
  }

  private async lookBack(s: GardenSnapshot, year: number): Promise<SeasonView['before']> {
    const notes = await this.notes.of(s.garden.id, year);
    const stood = stoodIn(s, year);
    return notes || stood.length > 0 ? { label: seasonOf(s, year).label, year, notes, stood } : null;
  }

  /** Seasons to offer: this one, the next, and any with records. */
  private seasons(s: GardenSnapshot, all: readonly PlantingEntity[], now: number): number[] {
    const years = new Set([now, now + 1, ...all.map((p) => p.year)]);
    for (const p of s.plants) if (p.transplantedOn) years.add(yearOf(s, p.transplantedOn));
    return [...years].sort((a, b) => b - a);
  }
}

/** What the plan needs; without a plan, what stands there. */
function needsIn(
  s: GardenSnapshot,
  plantings: readonly PlantingEntity[],
  plants: readonly PlantEntity[],
): SeasonView['needs'] {
  const planned =
    plantings.length > 0 ? plantings.flatMap((p) => neededFor(s, p)) : plants.flatMap((p) => standingAt(s, p));
  if (planned.length === 0) return null;
  const supported = plants.flatMap((p) => supportedIn(s, p));
  const needs = needsOf(planned, s.today, s.garden.stock ?? {}, supported);
  // ground that is planted has its compost and mulch, or Today asks
  return plantings.length > 0 ? needs : { ...needs, compostL: 0, mulchL: 0 };
}

function standingAt(s: GardenSnapshot, { placeId, crop, habit, retiredOn }: PlantEntity) {
  const place = s.places.find((p) => p.id === placeId);
  return place && !retiredOn ? [{ crop, habit, count: 1, place, placeId }] : [];
}

function neededFor(s: GardenSnapshot, p: PlantingEntity) {
  const place = placeOf(s, p);
  if (!place) return [];
  const habit = s.varietyOf(p)?.habit ?? null;
  return [{ crop: p.crop, habit, count: p.count, place, placeId: place.id }];
}

/** Returns a plant with the support that is recorded for it, if one is. */
function supportedIn(s: GardenSnapshot, plant: PlantEntity): Supported[] {
  const standing = supportIn(recordsOfPlant(s, plant));
  const { crop, habit } = plant;
  return standing ? [{ crop, habit, standing }] : [];
}

/** One line per planned or growing variety; without any, one per crop, so the year shows before it is planned. */
function linesOf(
  s: GardenSnapshot,
  year: number,
  plantings: readonly PlantingEntity[],
  plants: readonly PlantEntity[],
  running: boolean,
): YearLine[] {
  const lines = new Map<string, YearLine>();
  const add = (
    label: string,
    variety: DatesQuestion['variety'],
    done: Done = {},
    only: (b: Band) => boolean = () => true,
  ) => {
    if (lines.has(label)) return;
    const bands = datesOf(s, year, variety, done).bands.filter(only);
    lines.set(label, {
      label,
      bands: bands.map((b) => ({
        ...b,
        title: DATE_WORDS[b.what],
        text: bandInWords(b, s.format),
        how: bandExplained(b, s.format),
      })),
    });
  };
  for (const p of plantings) add(varietyName(s.varietyOf(p), p.crop), varietyDatesOf(s, p), doneOf(s, p));
  for (const alike of alikeOf(s, plants).values()) {
    const [p] = alike;
    const label = nameOf(s, p);
    const pickedOn = firstPicked(s, alike);
    // how it was raised is not recorded, and what can still be planned is listed once
    add(
      label,
      s.varietyOf(p) ?? p,
      { plantedOn: p.transplantedOn, pickedOn, ...(running ? { progress: furthestOf(s, [p]) } : {}) },
      (b) => !BEFORE_OUT.has(b.what) && !STILL.has(b.what),
    );
  }
  if (plants.length > 0 && running)
    add('After a loss, or a second crop', { crop: 'tomato', habit: 'determinate' }, {}, (b) => STILL.has(b.what));
  if (lines.size === 0) {
    add('Tomato', { crop: 'tomato' });
    add('Pepper', { crop: 'pepper' });
  }
  return [...lines.values()].slice(0, MOST_LINES);
}

/** Plants of one name, earliest first: a line each, however many there are. */
function alikeOf(s: GardenSnapshot, plants: readonly PlantEntity[]): Map<string, [PlantEntity, ...PlantEntity[]]> {
  const alike = new Map<string, [PlantEntity, ...PlantEntity[]]>();
  for (const p of [...plants].sort((a, b) => (a.transplantedOn! < b.transplantedOn! ? -1 : 1))) {
    const there = alike.get(nameOf(s, p));
    if (there) there.push(p);
    else alike.set(nameOf(s, p), [p]);
  }
  return alike;
}

const firstPicked = (s: GardenSnapshot, plants: readonly PlantEntity[]): string | null =>
  plants
    .flatMap((p) => s.recordsOf(p.id))
    .filter((r) => r.type === 'picking' && (r.data as Picking).ripeness !== 'green')
    .map((r) => r.day)
    .sort()[0] ?? null;
