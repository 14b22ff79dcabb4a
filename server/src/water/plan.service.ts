import { setImmediate as turn } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import type { PlacePlan, WhatIf } from '@candid-leaf/contract';
import {
  addDays,
  daysSinceWatering,
  DEFAULT_SCHOOL,
  evenness,
  expectedWeather,
  fillGaps,
  planWeek,
  schoolsFor,
  startOf,
  type CaseFile,
  type Irrigation,
  type PlaceFacts,
  type PlanRules,
  type RunState,
  type WaterMethod,
  type WeatherDay,
} from '@candid-leaf/core';
import { forecastOf } from '../cases/case-builder.js';
import type { GardenBook } from '../cases/garden-book.js';
import { InsightService, type Insight } from '../cases/insight.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';

const WAYS: Record<Irrigation, WaterMethod> = {
  can: 'base',
  hose: 'base',
  drip: 'drip',
  soaker: 'soaker',
  'buried-bottle': 'buried-bottle',
};
const WEEK = 7;
/** The what-ifs are tried on so many days just past. */
const TRIED_DAYS = 28;
const MULCH_MM = 60;

type Subject = { plant: PlantEntity; insight: Insight };

/** The coming week of each place: under its school, from its balance, through its forecast. */
@Injectable()
export class PlanService {
  private readonly tried = new Map<string, { stamp: string; value: Pick<PlacePlan, 'now' | 'whatIf'> }>();

  constructor(private readonly insights: InsightService) {}

  async all(book: GardenBook): Promise<PlacePlan[]> {
    await this.insights.prepare(book);
    const out: PlacePlan[] = [];
    for (const place of book.places) {
      if (place.retiredOn) continue;
      out.push(this.of(book, place));
      await turn();
    }
    return out;
  }

  of(book: GardenBook, place: PlaceEntity): PlacePlan {
    const plants = book.plants.filter((p) => p.placeId === place.id && !p.retiredOn);
    const isPot = place.kind === 'container';
    const school = place.watering?.school ?? DEFAULT_SCHOOL;
    // the driest speaks for the place: what is enough for it is enough for all
    const driest = plants
      .map((plant): Subject => ({ plant, insight: this.insights.of(book, plant) }))
      .sort((a, b) => left(a) - left(b))[0];
    const report = driest?.insight.report.water;
    const ahead = report?.ahead ?? [];
    const limit = driest && report ? 1 - (report.rawMm ?? 0) / (report.tawMm || 1) : 0;
    const dry = report ? [report.daily.at(-1)!, ...ahead].findIndex((d) => d && d.fractionAvailable <= limit) : -1;
    const newest = book.weather.filter((w) => w.kind === 'observed').at(-1)?.day ?? null;
    return {
      placeId: place.id,
      plants: plants.length,
      school,
      schools: schoolsFor(isPot),
      watering: place.watering ?? {},
      plan: driest ? this.week(book, place, plants.length, driest) : null,
      plantName: driest?.plant.name ?? null,
      fractionAvailable: driest ? (report!.daily.at(-1)?.fractionAvailable ?? null) : null,
      uncertainty: report?.daily.at(-1)?.uncertainty ?? null,
      evenness: report?.evenness ?? null,
      dryInDays: dry < 0 ? null : dry,
      ...(driest ? this.whatIf(book, place, driest) : { now: null, whatIf: [] }),
      weatherUntil: newest,
      forecastUntil: book.weather.filter((w) => w.kind === 'forecast').at(-1)?.day ?? null,
      timer: null,
    };
  }

  /** The next seven days, today's watering among them where none was given yet. */
  private week(book: GardenBook, place: PlaceEntity, plants: number, { insight }: Subject): PlacePlan['plan'] {
    const { caseFile: c, water } = insight;
    const watered = c.records.watering.some((w) => w.date === book.today && w.litres > 0);
    const from = watered ? water.end : morningOf(insight);
    if (!from || !water.end) return null;
    const ahead = expectedWeather(c, forecastOf(book)).days;
    const today = c.records.weather.find((w) => w.date === book.today) ?? {
      ...(c.records.weather.at(-1) ?? ahead[0])!,
      date: book.today,
      rainMm: 0,
    };
    const days = (watered || !water.before ? ahead : [today, ...ahead]).slice(0, WEEK);
    if (days.length === 0) return null;
    return planWeek(c, from, days, daysSinceWatering(c.records, days[0]!.date), rulesOf(place, plants));
  }

  /** The last four weeks again under the same school: as it is, and with one thing changed. Kept until the garden changes. */
  private whatIf(book: GardenBook, place: PlaceEntity, { insight }: Subject): Pick<PlacePlan, 'now' | 'whatIf'> {
    const stamp = `${book.garden.revision} ${book.today}`;
    const kept = this.tried.get(place.id);
    if (kept?.stamp === stamp) return kept.value;
    const { caseFile: c } = insight;
    const first = c.records.weather[0]?.date;
    const from = addDays(book.today, 1 - TRIED_DAYS);
    const value: Pick<PlacePlan, 'now' | 'whatIf'> = { now: null, whatIf: [] };
    if (first && first <= book.today) {
      const days = fillGaps(c.records.weather, first > from ? first : from, book.today);
      const rules = { ...rulesOf(place, 1), allowedDays: null, weeklyCapL: null };
      const mulched = c.place.mulch?.some((m) => m.from <= book.today && (m.to == null || m.to >= book.today));
      value.now = tryOn(c, c.place, days, rules);
      if (place.kind !== 'container' && !mulched)
        value.whatIf.push({
          what: 'mulch',
          size: MULCH_MM,
          ...tryOn(c, { ...c.place, mulch: [{ from: days[0]!.date, depthMm: MULCH_MM }] }, days, rules),
        });
      if (place.kind === 'container') {
        const size = (place.volumeL ?? 10) * 2;
        value.whatIf.push({ what: 'bigger-pot', size, ...tryOn(c, { ...c.place, volumeL: size }, days, rules) });
      }
    }
    this.tried.set(place.id, { stamp, value });
    return value;
  }
}

/** Where the store stood this morning; what was measured today is known from the morning on. */
function morningOf({ water, report }: Insight): RunState | null {
  if (!water.before || water.before.depletionMm === null) return water.end;
  const today = report.water.daily.at(-1);
  if (!today?.correctedBy) return water.before;
  const depletionMm = Math.min(today.tawMm, water.before.depletionMm + today.correctionMm);
  return {
    ...water.before,
    depletionMm,
    fraction: Math.min(1, 1 - depletionMm / today.tawMm),
    sd: water.end?.sd ?? water.before.sd,
  };
}

const left = (s: Subject): number => s.insight.report.water.daily.at(-1)?.fractionAvailable ?? 2;

export function rulesOf(place: PlaceEntity, plants: number): PlanRules {
  const w = place.watering ?? {};
  return {
    school: w.school ?? DEFAULT_SCHOOL,
    how: WAYS[place.irrigation ?? 'can'],
    flowLPerH:
      place.flowLPerH && place.irrigation && place.irrigation !== 'can' ? place.flowLPerH / Math.max(1, plants) : null,
    lean: w.lean ?? null,
    drierFinish: w.drierFinish ?? false,
    allowedDays: w.allowedDays?.length ? w.allowedDays : null,
    weeklyCapL: w.weeklyCapL != null ? w.weeklyCapL / Math.max(1, plants) : null,
  };
}

function tryOn(
  c: CaseFile,
  place: PlaceFacts,
  days: readonly WeatherDay[],
  rules: PlanRules,
): Omit<WhatIf, 'what' | 'size'> {
  const plan = planWeek({ ...c, place }, startOf({ fraction: 1, sd: 0 }), days, 1, rules);
  const visits = plan.days.filter((d) => d.litres > 0).length;
  const series = plan.days.map((d) => ({ fractionAvailable: d.left, ks: 1, waterlogged: false }));
  return {
    litresPerWeek: Math.round((plan.litres / days.length) * 70) / 10,
    daysBetween: Math.round((days.length / Math.max(1, visits)) * 10) / 10,
    evenness: Math.round((evenness(series) ?? 0) * 100) / 100,
  };
}
