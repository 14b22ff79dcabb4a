import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { weatherInPlace } from '@candid-leaf/core/climate';
import { isPotted, type DisorderCode, type Inspection } from '@candid-leaf/core/records';
import {
  DEFAULT_RHYTHM,
  partsFor,
  walkDue,
  walkReasonInWords,
  type WalkDue,
  type WalkQuestion,
} from '@candid-leaf/core/walks';
import { frostFrom, NEWLY_PLANTED_DAYS } from '@candid-leaf/core/season';
import { addDays, daysBetween, type Day } from '@candid-leaf/core/units';
import { MoreThanOrEqual, type DataSource, type EntityManager } from 'typeorm';
import { weatherIn } from '../assessment/weather-lists.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordsService } from '../records/records.service.js';
import { stageIn } from '../assessment/growth.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';
import { TreatmentEntity } from '../treatments/treatment.entity.js';

/** Minutes per plant: a glance, and with leaves turned over (judgement). */
const GLANCE_MINUTES = 0.5;
const TURNED_MINUTES = 2;
/** Days back that weather can call for a walk. */
const BACK_DAYS = 30;

/**
 * Walks that are due, bed by bed. Walked or called all clear, they are done: only the last look at each plant
 * decides.
 */
@Injectable()
export class WalksSource extends RecordingSource {
  readonly code = 'walk';

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    records: RecordsService,
  ) {
    super(records);
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const taken = await this.takenOn(this.db.manager, s);
    const due = livePlaces(s).flatMap((place) => {
      const walk = dueIn(s, place, taken);
      return walk ? [{ place, ...walk }] : [];
    });
    // after an absence the pots come first
    const potsFirst = due.some((d) => d.walk.reasons.some((r) => r.kind === 'home'));
    return (potsFirst ? [...due].sort((a, b) => Number(isPotted(b.place)) - Number(isPotted(a.place))) : due).map((d) =>
      taskFor(s, d.place, d.plants, d.walk, d.open),
    );
  }

  /** "All clear": saves one look for every plant not looked over today. */
  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const place = livePlaces(s).find((p) => idOf(s.today, p) === id);
    if (!place || !dueIn(s, place, await this.takenOn(m, s))) return null;
    const plants = livePlantsIn(s, place.id).filter((p) => lastLook(s, p) !== s.today);
    return this.records.writeEach(m, s.garden.id, tick, {
      plantIds: plants.map((p) => p.id),
      type: 'inspection',
      data: { date: s.today, allClear: true, signs: [] } as Inspection,
    });
  }

  /** Returns findings treated in the last weeks, or still open. */
  private takenOn(m: EntityManager, s: GardenSnapshot): Promise<TreatmentEntity[]> {
    return m.findBy(TreatmentEntity, {
      gardenId: s.garden.id,
      openedOn: MoreThanOrEqual(addDays(s.today, -BACK_DAYS)),
    });
  }
}

const idOf = (today: Day, place: PlaceEntity): string => `${today}:${place.id}`;

const lastLook = (s: GardenSnapshot, plant: PlantEntity): Day | null =>
  s.recordsOf(plant.id).findLast((r) => r.type === 'inspection')?.day ?? null;

interface WalkHere {
  walk: WalkDue;
  plants: readonly PlantEntity[];
  open: DisorderCode[];
}

function dueIn(s: GardenSnapshot, place: PlaceEntity, taken: readonly TreatmentEntity[]): WalkHere | null {
  const plants = livePlantsIn(s, place.id);
  const own = taken.filter((t) => plants.some((p) => p.id === t.plantId));
  const question: WalkQuestion = {
    today: s.today,
    rhythm: place.looking ?? DEFAULT_RHYTHM,
    lastLooks: plants.map((p) => lastLook(s, p)),
    plantedOn: plants.map((p) => p.transplantedOn),
    weather: weatherIn(s)
      .filter((w) => w.date > addDays(s.today, -BACK_DAYS))
      .map((w) => weatherInPlace(place, w, s.garden)),
    frostFromC: frostFrom({
      facts: place,
      newlyPlanted: plants.some(
        (p) => p.transplantedOn !== null && daysBetween(p.transplantedOn, s.today) <= NEWLY_PLANTED_DAYS,
      ),
    }),
    away: s.garden.away ?? [],
    findings: own.map((t) => ({ disorder: t.disorder, openedOn: t.openedOn })),
  };
  const walk = walkDue(question);
  return walk && { walk, plants, open: own.filter((t) => t.closedOn === null).map((t) => t.disorder) };
}

function taskFor(
  s: GardenSnapshot,
  place: PlaceEntity,
  plants: readonly PlantEntity[],
  walk: WalkDue,
  open: readonly DisorderCode[],
): Task {
  const why = walk.reasons.map((r) => walkReasonInWords(r, s.today, s.format));
  return {
    id: idOf(s.today, place),
    plantId: null,
    placeId: place.id,
    title: `Check ${place.name}`,
    where: `${plants.length} ${plants.length === 1 ? 'plant' : 'plants'}${walk.undersides ? ', turning leaves over' : ', at a glance'}`,
    why: why.join('; '),
    dueOn: s.today,
    minutes: Math.max(1, Math.round(plants.length * (walk.undersides ? TURNED_MINUTES : GLANCE_MINUTES))),
    litres: null,
    remedy: null,
    dose: null,
    walk: { why, undersides: walk.undersides, parts: partsFor(walk, plants[0] && stageIn(s, plants[0]), open) },
    cautions: [],
  };
}
