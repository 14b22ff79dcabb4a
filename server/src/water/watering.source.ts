import { Injectable } from '@nestjs/common';
import type { RecordInput } from '@candid-leaf/contract';
import type { PlaceAssessment } from '@candid-leaf/core/assessment';
import {
  checkDue,
  HELD_WHY,
  laterOf,
  litresOf,
  minutesForLitres,
  whyWatered,
  type Pour,
} from '@candid-leaf/core/water';
import { isPotted } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import type { EntityManager } from 'typeorm';
import { Assessments } from '../assessment/assessments.service.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { RecordsService, partOf } from '../records/records.service.js';
import { TaskSource, type Task, type Tick } from '../today/task-source.js';

/** Carrying and pouring: minutes per litre and per plant (judgement). */
const MINUTES_A_LITRE = 0.3;
const MINUTES_A_PLANT = 0.5;

/** Waterings of the plan: pots one by one, beds as a whole. It orders day 0 of the week, nothing else. */
@Injectable()
export class WateringSource extends TaskSource {
  readonly code = 'water';

  constructor(
    private readonly assessments: Assessments,
    private readonly records: RecordsService,
  ) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const assessed = await this.assessments.all(s);
    return livePlaces(s).flatMap((place) => {
      const found = assessed.get(place.id);
      return found
        ? [...askFor(s, place, found), ...found.plan.pours.flatMap((pour) => taskFor(s, place, found, pour))]
        : [];
    });
  }

  /** Saves today's watering of the group. No longer due (watered by someone else, or not today's): saves nothing. */
  async done(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const writes = await this.recordsFor(s, id, tick.recordId);
    if (writes.length === 0) return (await this.records.exists(m, s.garden.id, tick.recordId)) ? tick.recordId : null;
    for (const input of writes) await this.records.write(m, s.garden.id, tick.accountId, s.today, input);
    return tick.recordId;
  }

  async undo(m: EntityManager, s: GardenSnapshot, id: string, recordId: string | null): Promise<void> {
    if (recordId === null) return;
    const place = livePlaces(s).find((p) => p.id === id);
    const single = livePlantsIn(s, place?.id ?? '').map((plant) => partOf(recordId, plant.id));
    for (const written of [recordId, ...single])
      if (await this.records.exists(m, s.garden.id, written))
        await this.records.markDeleted(m, s.garden.id, written, true);
  }

  /** One record for the whole bed; plant by plant if some are left out. */
  private async recordsFor(s: GardenSnapshot, id: string, recordId: string): Promise<RecordInput[]> {
    const plant = s.plants.find((p) => p.id === id);
    const place = livePlaces(s).find((p) => p.id === (plant?.placeId ?? id));
    if (!place) return [];
    const pour = (await this.assessments.of(s, place)).plan.pours.find((p) => p.id === id);
    const litres = pour?.plan?.days.find((d) => d.date === s.today)?.litres ?? 0;
    if (!pour || litres === 0) return [];
    const watering = { type: 'watering' as const, data: { date: s.today, litres } };
    if (id === place.id && pour.leftOutIds.length === 0) return [{ id: recordId, placeId: id, ...watering }];
    const [first, ...others] = pour.plantIds;
    return [
      { id: recordId, plantId: first ?? null, ...watering },
      ...others.map((plantId) => ({ id: partOf(recordId, plantId), plantId, ...watering })),
    ];
  }
}

/** Begins the id of the check that only keeps the estimate honest: a helper need not answer it. */
export const USUAL_CHECK = 'check-';
/** Minutes for a finger check. */
const FEEL_MINUTES = 1;

/**
 * If the watering history is unknown no litres are ordered: the soil must be checked. A finger check answers it, not
 * a tick.
 */
function askFor(s: GardenSnapshot, place: PlaceEntity, assessed: PlaceAssessment): Task[] {
  const unknown = livePlantsIn(s, place.id).filter((plant) => {
    const context = assessed.plants.get(plant.id)?.context;
    return context !== undefined && context.balance.days.length > 0 && !context.waterKnown;
  });
  if (unknown.length === 0) {
    const waiting = heldBack(assessed).filter((id) => assessed.plants.get(id)?.context.felt === null);
    if (waiting.length > 0) return [heldCheck(s, place, waiting, assessed)];
    const due = livePlantsIn(s, place.id).flatMap((plant) => {
      const balance = assessed.plants.get(plant.id)?.context.balance;
      return (balance && checkDue(balance, place)) ?? [];
    });
    const [longest] = due.sort((a, b) => ((a.since ?? '') < (b.since ?? '') ? -1 : 1));
    return longest ? [checkFor(s, place, longest.since)] : [];
  }
  return [
    {
      ...feelTask(s, place),
      where: unknown.map((p) => p.name).join(', '),
      why: 'no watering is recorded, so we can’t suggest an amount; push a finger in two knuckles deep to check',
    },
  ];
}

/** Returns the plants whose water is held back until a finger says that their soil is dry. */
const heldBack = ({ plan }: PlaceAssessment): string[] =>
  plan.pours.flatMap((pour) => [...pour.leftOutIds, ...(pour.plan?.held ? pour.plantIds : [])]);

/** Water is held back, and no finger has told anything that still counts. */
function heldCheck(s: GardenSnapshot, place: PlaceEntity, ids: readonly string[], assessed: PlaceAssessment): Task {
  const left = ids.map((id) => assessed.plants.get(id)?.context.balance.days.at(-1)?.fractionAvailable ?? 1);
  return {
    ...feelTask(s, place),
    where: s.plants
      .filter((p) => ids.includes(p.id))
      .map((p) => p.name)
      .join(', '),
    // the estimate orders nothing, but says how much it matters; with it the task does not fade while the soil dries
    why: `water is held back: ${HELD_WHY}. By the estimate ${Math.round(100 * Math.min(...left))} % is left`,
  };
}

/** Errors add up even when everything is recorded: one finger now and then keeps the estimate honest. */
function checkFor(s: GardenSnapshot, place: PlaceEntity, since: Day | null): Task {
  const measured = since ? `not measured since ${s.format.day(since)}` : 'not measured this season';
  const how = isPotted(place)
    ? 'Feel it, lift it, or water until it runs out below'
    : 'Push a finger in two knuckles deep';
  return {
    ...feelTask(s, place),
    id: `${USUAL_CHECK}${place.id}`,
    where: place.name,
    why: `${measured}, and small errors add up. ${how}`,
  };
}

/** A check of the soil, answered with dry, damp or wet. */
const feelTask = (s: GardenSnapshot, place: PlaceEntity) => ({
  id: `feel-${place.id}`,
  plantId: null,
  placeId: place.id,
  title: `Check the soil: ${place.name}`,
  dueOn: s.today,
  minutes: FEEL_MINUTES,
  litres: null,
  remedy: null,
  dose: null,
  feel: true as const,
  cautions: [],
});

function taskFor(s: GardenSnapshot, place: PlaceEntity, assessed: PlaceAssessment, pour: Pour): Task[] {
  const next = pour.plan?.next;
  const speaker = assessed.plants.get(pour.speakerId);
  if (!next || !speaker) return [];
  const whole = pour.id === place.id;
  const names = (ids: readonly string[]): string[] => ids.map((id) => s.plants.find((p) => p.id === id)?.name ?? '');
  const [only] = names(pour.plantIds);
  const litres = litresOf(pour, next.date);
  const byClock = place.flowLPerH && place.irrigation && place.irrigation !== 'can';
  const minutes = byClock
    ? minutesForLitres(next.litres, place.flowLPerH ?? 1, pour.plantIds.length)
    : litres * MINUTES_A_LITRE + pour.plantIds.length * MINUTES_A_PLANT;
  const leftOut = names(pour.leftOutIds);
  return [
    {
      id: pour.id,
      plantId: whole ? null : pour.id,
      placeId: whole ? place.id : null,
      title: `Water ${whole ? place.name : (only ?? '')}`,
      where: whole ? `${pour.plantIds.length} ${pour.plantIds.length === 1 ? 'plant' : 'plants'}` : place.name,
      why:
        whyWatered(next, s.today, speaker.context.hasForecast, s.format) +
        (next.laterL > 0 ? `; save ${s.format.litres(laterOf(pour, next.date))} for after midday` : '') +
        (leftOut.length > 0 ? `; not ${leftOut.join(', ')}: let the soil there dry first` : ''),
      dueOn: next.date,
      minutes: Math.max(1, Math.round(minutes)),
      litres,
      remedy: null,
      dose: { litres: next.litres },
      // the can is filled for the whole bed
      ...(pour.plantIds.length > 1
        ? { amount: `${s.format.litres(litres)} (${s.format.litres(next.litres)} each)` }
        : {}),
      ...(next.of ? { made: { of: next.of, plants: pour.plantIds.length } } : {}),
      cautions: [],
    },
  ];
}
