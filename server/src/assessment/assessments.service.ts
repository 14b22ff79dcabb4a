import { setImmediate as turn } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import { conclude, decidePlace, type PlaceAssessment, type PlantAssessment } from '@candid-leaf/core/assessment';
import { DEFAULT_SCHOOL, whatIf, type PlaceRules, type Steadiness, type WhatIf } from '@candid-leaf/core/water';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { notFound } from '../shared/http-errors.js';
import { forecastIn, plantCaseOf } from './plant-case.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from './snapshots.service.js';

/** Gardens whose assessments are kept at hand; the oldest goes first. */
const KEPT_GARDENS = 50;
/** A plant concluded anew takes longer than this; then others get their turn. */
const SLICE_MS = 1;

interface Kept {
  stamp: string;
  places: Map<string, Promise<PlaceAssessment>>;
  whatIfs: Map<string, { now: Steadiness | null; whatIf: WhatIf[] }>;
}

/** How a place is watered, as the plan reads it. */
const rulesOf = (place: PlaceEntity): PlaceRules => ({
  school: place.watering?.school ?? DEFAULT_SCHOOL,
  irrigation: place.irrigation,
  flowLPerH: place.flowLPerH,
  lean: place.watering?.lean ?? null,
  drierFinish: place.watering?.drierFinish ?? false,
  allowedDays: place.watering?.allowedDays ?? null,
  weeklyCapL: place.watering?.weeklyCapL ?? null,
  byTimer: place.watering?.timerZone != null,
});

/**
 * What the core concludes of places and their plants, worked out when asked and kept until the garden's revision or day moves on.
 * What is kept can always be worked out again: another process simply does so.
 */
@Injectable()
export class Assessments {
  private readonly kept = new Map<string, Kept>();

  /** All places of a garden, one after the other, with turns for other requests between. */
  async all(s: GardenSnapshot): Promise<Map<string, PlaceAssessment>> {
    const out = new Map<string, PlaceAssessment>();
    for (const place of livePlaces(s)) out.set(place.id, await this.of(s, place));
    return out;
  }

  of(s: GardenSnapshot, place: PlaceEntity): Promise<PlaceAssessment> {
    if (s.tentative) return assess(s, place, livePlantsIn(s, place.id));
    const { places } = this.shelf(s);
    const known = places.get(place.id);
    if (known) return known;
    const made = assess(s, place, livePlantsIn(s, place.id));
    places.set(place.id, made);
    // what failed is tried anew when asked again
    made.catch(() => places.delete(place.id));
    return made;
  }

  /** One plant with its place's plan behind it; one that is retired stands by itself. */
  async ofPlant(s: GardenSnapshot, plant: PlantEntity): Promise<PlantAssessment> {
    const place = s.places.find((p) => p.id === plant.placeId);
    if (!place) throw notFound('place');
    const assessed = plant.retiredOn || place.retiredOn ? await assess(s, place, [plant]) : await this.of(s, place);
    const own = assessed.plants.get(plant.id);
    if (!own) throw notFound('plant');
    return own;
  }

  /** What a change of the place would do, by its driest plant. */
  async whatIf(s: GardenSnapshot, place: PlaceEntity, speaker: PlantAssessment) {
    const { whatIfs } = this.shelf(s);
    let value = whatIfs.get(place.id);
    if (!value) {
      value = whatIf(speaker.context.case, rulesOf(place));
      whatIfs.set(place.id, value);
      await turn();
    }
    return value;
  }

  private shelf(s: GardenSnapshot): Kept {
    const stamp = `${s.garden.revision} ${s.today}`;
    let shelf = this.kept.get(s.garden.id);
    if (shelf?.stamp !== stamp) {
      this.kept.delete(s.garden.id);
      shelf = { stamp, places: new Map(), whatIfs: new Map() };
      this.kept.set(s.garden.id, shelf);
      const [oldest] = this.kept.keys();
      if (this.kept.size > KEPT_GARDENS && oldest) this.kept.delete(oldest);
    }
    return shelf;
  }
}

/** Plant by plant with a turn between, then the place's decision. */
async function assess(s: GardenSnapshot, place: PlaceEntity, plants: readonly PlantEntity[]): Promise<PlaceAssessment> {
  const forecast = forecastIn(s);
  const concluded = [];
  for (const plant of plants) {
    const from = performance.now();
    concluded.push(conclude({ id: plant.id, case: plantCaseOf(s, plant, place) }, forecast, s.format));
    if (performance.now() - from > SLICE_MS) await turn();
  }
  return decidePlace(place.id, rulesOf(place), concluded, forecast);
}
