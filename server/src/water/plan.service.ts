import { setImmediate as turn } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import type { PlacePlanDto, PourDto } from '@candid-leaf/contract';
import type { PlaceAssessment, PlantAssessment } from '@candid-leaf/core/assessment';
import { isPotted } from '@candid-leaf/core/records';
import { daysBetween } from '@candid-leaf/core/units';
import { DEFAULT_METHOD, makeWatering, methodsFor, type Pour, timerGives } from '@candid-leaf/core/water';
import { Assessments } from '../assessment/assessments.service.js';
import { flowOf, timersOf } from '../assessment/timed.js';
import { livePlaces, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { dryingOrderOf } from './drying-order.js';

/** The plan of a bed as the page shows it; the core makes it. */
@Injectable()
export class PlanService {
  constructor(private readonly assessments: Assessments) {}

  async all(s: GardenSnapshot): Promise<PlacePlanDto[]> {
    const out: PlacePlanDto[] = [];
    for (const place of livePlaces(s)) {
      out.push(await this.of(s, place));
      await turn();
    }
    return out;
  }

  async of(s: GardenSnapshot, place: PlaceEntity): Promise<PlacePlanDto> {
    const assessed = await this.assessments.of(s, place);
    const { plan } = assessed;
    const pours = plan.pours.map((p) => pourDto(s, assessed, p));
    const driest = [...plan.pours].sort((a, b) => leftOf(assessed, a) - leftOf(assessed, b))[0];
    const speaker = driest && assessed.plants.get(driest.speakerId);
    const next = plan.pours.flatMap((p) => p.plan?.next?.date ?? []).sort()[0];
    const even = pours.flatMap((p) => p.evenness ?? []);
    return {
      placeId: place.id,
      method: place.watering?.method ?? DEFAULT_METHOD,
      methods: methodsFor(isPotted(place)),
      watering: place.watering ?? {},
      together: plan.together,
      pours,
      evenness: even.length > 0 ? Math.min(...even) : null,
      dueInDays: next ? daysBetween(s.today, next) : null,
      // single pots differ: each plant's page tells its own
      drying: plan.pours.length === 1 ? (speaker?.report.water.drying ?? null) : null,
      ...(speaker ? await this.assessments.whatIf(s, place, speaker) : { now: null, whatIf: [], drier: null }),
      weatherUntil: s.weather.findLast((w) => w.kind === 'observed')?.day ?? null,
      forecastUntil: s.weather.findLast((w) => w.kind === 'forecast')?.day ?? null,
      timer: null,
      timerGives: timerGives(
        timersOf(s, place),
        (set) => makeWatering(flowOf(s, place), { ...set, date: set.date }).litres ?? null,
      ).slice(0, MOST_SETTINGS),
      hotDayL: hotDayOf(speaker),
      order: dryingOrderOf(s, place),
    };
  }
}

/** Settings of a timer that are shown: this one, and those before it. */
const MOST_SETTINGS = 3;

/** The most its driest plant used on a day of these weeks, L. */
function hotDayOf(speaker: PlantAssessment | undefined): number | null {
  const days = speaker?.context.waterKnown ? speaker.context.balance.days.slice(-HOT_WITHIN_DAYS) : [];
  return days.length === 0 ? null : Math.max(...days.map((d) => d.demandL));
}
const HOT_WITHIN_DAYS = 28;

const leftOf = (assessed: PlaceAssessment, pour: Pour): number => {
  const context = assessed.plants.get(pour.speakerId)?.context;
  return context?.waterKnown ? (context.balance.days.at(-1)?.fractionAvailable ?? 2) : 2;
};

function pourDto(s: GardenSnapshot, assessed: PlaceAssessment, pour: Pour): PourDto {
  const names = (ids: readonly string[]): string[] => ids.map((id) => s.plants.find((p) => p.id === id)?.name ?? '');
  const water = assessed.plants.get(pour.speakerId)?.report.water;
  const today = water?.daily.at(-1);
  return {
    id: pour.id,
    plants: names(pour.plantIds),
    leftOut: names(pour.leftOutIds),
    speaker: names([pour.speakerId])[0] ?? '',
    plan: pour.plan,
    known: water?.known ?? false,
    fractionAvailable: water?.known ? (today?.fractionAvailable ?? null) : null,
    uncertainty: water?.known ? (today?.uncertainty ?? null) : null,
    evenness: water?.evenness ?? null,
  };
}
