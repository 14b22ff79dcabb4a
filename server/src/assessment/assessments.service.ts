import { setImmediate as turn } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import { addDays } from '@candid-leaf/core/units';
import { type Prevention, whatWouldHavePrevented } from '@candid-leaf/core/prevented';
import type { Diagnosis } from '@candid-leaf/core/diagnosis';
import { comingRisks, type ComingRisk } from '@candid-leaf/core/risk';
import {
  conclude,
  decidePlace,
  type Concluded,
  type PlaceAssessment,
  type PlantAssessment,
} from '@candid-leaf/core/assessment';
import {
  DEFAULT_METHOD,
  RHYTHM_DAYS,
  pourOf,
  timerOn,
  whatIf,
  type ForecastWeather,
  type PlaceRules,
} from '@candid-leaf/core/water';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { notFound } from '../shared/http-errors.js';
import { forecastIn } from './weather-lists.js';
import { plantCaseOf } from './plant-case.js';
import { timedWaterings, timersOf } from './timed.js';
import { kept, placeStamp, plantStamp } from './stamps.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from './snapshots.service.js';

/** Work longer than this yields to other requests, ms. */
const SLICE_MS = 5;

/** Returns the watering rules of a bed or pot, as the plan reads them. */
const rulesOf = (s: GardenSnapshot, place: PlaceEntity): PlaceRules => ({
  method: place.watering?.method ?? DEFAULT_METHOD,
  irrigation: place.irrigation,
  flowLPerH: place.flowLPerH,
  moisture: place.watering?.moisture ?? null,
  drierRipening: place.watering?.drierRipening ?? false,
  allowedDays: place.watering?.allowedDays ?? null,
  weeklyCapL: place.watering?.weeklyCapL ?? null,
  byTimer: place.watering?.timerZone != null || timerOn(timersOf(s, place), s.today) !== null,
  timed: timedWaterings(s, place, addDays(s.today, 1), addDays(s.today, RHYTHM_DAYS)).flatMap(({ date, litres }) =>
    litres == null ? [] : [{ date, litres }],
  ),
});

/**
 * The core's conclusions about beds and plants, computed on request. Each is cached with the versions of everything
 * it depends on and recomputed when one of these changes, so a write costs what it touches.
 */
@Injectable()
export class Assessments {
  /** Assesses all beds of a garden in turn, yielding to other requests in between. */
  async all(s: GardenSnapshot): Promise<Map<string, PlaceAssessment>> {
    const out = new Map<string, PlaceAssessment>();
    for (const place of livePlaces(s)) out.set(place.id, await this.of(s, place));
    return out;
  }

  of(s: GardenSnapshot, place: PlaceEntity): Promise<PlaceAssessment> {
    return assess(s, place, livePlantsIn(s, place.id));
  }

  /** Returns the plants of a bed or pot, each with its assessment. */
  async plantsIn(s: GardenSnapshot, place: PlaceEntity): Promise<{ plant: PlantEntity; own: PlantAssessment }[]> {
    const assessed = await this.of(s, place);
    return livePlantsIn(s, place.id).flatMap((plant) => {
      const own = assessed.plants.get(plant.id);
      return own ? [{ plant, own }] : [];
    });
  }

  /** Assesses one plant with the plan of its bed; an archived one by itself. */
  async ofPlant(s: GardenSnapshot, plant: PlantEntity): Promise<PlantAssessment> {
    const place = s.places.find((p) => p.id === plant.placeId);
    if (!place) throw notFound('place');
    const assessed = plant.retiredOn || place.retiredOn ? await assess(s, place, [plant]) : await this.of(s, place);
    const own = assessed.plants.get(plant.id);
    if (!own) throw notFound('plant');
    return own;
  }

  /** Returns what would have prevented a finding of a plant, by default the leading one. */
  prevented(
    s: GardenSnapshot,
    place: PlaceEntity,
    plant: PlantEntity,
    own: PlantAssessment,
    finding: Diagnosis | undefined = own.report.diagnosis[0],
  ): Prevention[] {
    const plants = livePlantsIn(s, place.id);
    return kept(s, `prevented ${finding?.disorder ?? ''} ${plant.id}`, placeStamp(s, place, plants), () =>
      whatWouldHavePrevented(own.context, finding, {
        rules: rulesOf(s, place),
        plants: Math.max(1, plants.length),
      }),
    );
  }

  /** Returns what the coming days may bring a plant. */
  async coming(s: GardenSnapshot, place: PlaceEntity, plant: PlantEntity): Promise<ComingRisk[]> {
    const { plan, plants } = await this.of(s, place);
    const own = plants.get(plant.id);
    if (!own) return [];
    const value = kept(s, `coming ${plant.id}`, placeStamp(s, place, livePlantsIn(s, place.id)), () =>
      comingRisks(own.context, {
        plan: pourOf(plan, plant.id)?.plan ?? null,
        forecast: forecastIn(s),
        found: own.report.diagnosis,
      }),
    );
    // Today asks for many of these in a row
    await turn();
    return value;
  }

  /** Returns what a change of the bed would do, judged by its driest plant. */
  async whatIf(s: GardenSnapshot, place: PlaceEntity, speaker: PlantAssessment): Promise<ReturnType<typeof whatIf>> {
    const stamp = placeStamp(s, place, livePlantsIn(s, place.id));
    const value = kept(s, `what if ${place.id}`, stamp, () => whatIf(speaker.context.case, rulesOf(s, place)));
    await turn();
    return value;
  }
}

/** Assesses plant by plant, yielding in between, then the bed's plan. Concurrent callers share one computation. */
function assess(s: GardenSnapshot, place: PlaceEntity, plants: readonly PlantEntity[]): Promise<PlaceAssessment> {
  const key = `place ${place.id} ${plants.length === 1 ? plants[0]!.id : ''}`;
  return kept(s, key, placeStamp(s, place, plants), async () => {
    const forecast = forecastIn(s);
    const concluded: Readonly<Concluded>[] = [];
    let from = performance.now();
    for (const plant of plants) {
      concluded.push(concludedOf(s, plant, place, forecast));
      if (performance.now() - from < SLICE_MS) continue;
      await turn();
      from = performance.now();
    }
    return decidePlace(place.id, rulesOf(s, place), concluded, forecast);
  });
}

const concludedOf = (
  s: GardenSnapshot,
  plant: PlantEntity,
  place: PlaceEntity,
  forecast: readonly ForecastWeather[],
): Readonly<Concluded> =>
  kept(s, `plant ${plant.id}`, plantStamp(s, plant, place), () =>
    conclude({ id: plant.id, case: plantCaseOf(s, plant, place) }, forecast, s.format),
  );
