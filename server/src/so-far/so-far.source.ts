import { Injectable } from '@nestjs/common';
import { SO_FAR_ASKS, type SoFarAsk } from '@candid-leaf/contract';
import type { PlantAssessment } from '@candid-leaf/core/assessment';
import { cutsOf, supportOf } from '@candid-leaf/core/care';
import { outgrewHabit } from '@candid-leaf/core/growth';
import { daysBetween } from '@candid-leaf/core/units';
import { type EntityManager, IsNull, Not } from 'typeorm';
import { TIMER_ASKED_EVERY_DAYS, timerOn } from '@candid-leaf/core/water';
import { Assessments } from '../assessment/assessments.service.js';
import { growthNotesIn } from '../assessment/growth.js';
import { timersOf } from '../assessment/timed.js';
import { livePlaces, type GardenSnapshot } from '../assessment/snapshots.service.js';
import { planBeforeDose } from '../feeding/feed-of-plants.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { updateRows } from '../shared/rows.js';
import { newestEvent } from '../assessment/newest-event.js';
import { mulchOf } from '../soil/soil.source.js';
import { TaskSource, type Task } from '../today/task-source.js';

/** Shorter plants are neither tied nor cut yet, m (judgement). */
const TALL_M = 0.5;

/**
 * Asks once what was done before the records began: not recorded does not mean not done, and without an answer nothing
 * is ordered. Each answer is a record.
 */
@Injectable()
export class SoFarSource extends TaskSource {
  readonly code = 'so-far';

  constructor(private readonly assessments: Assessments) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const tasks: Task[] = [];
    for (const place of livePlaces(s)) {
      const plants = await this.assessments.plantsIn(s, place);
      const asks = SO_FAR_ASKS.filter((ask) => isAsked(s, place, plants, ask));
      if (asks.length > 0) tasks.push(taskFor(s, place, asks));
      tasks.push(
        ...plants.filter(isUnsure).map(({ plant }) => varietyTask(s, place, plant)),
        ...plants.flatMap(({ plant }) => bushTask(s, place, plant)),
      );
    }
    return tasks;
  }

  /** The other answers are records of their own; a tick says that a variety is what it was taken for. */
  async done(m: EntityManager, s: GardenSnapshot, id: string): Promise<null> {
    await this.setUnsure(m, s, id, null);
    return null;
  }

  undo(m: EntityManager, s: GardenSnapshot, id: string): Promise<void> {
    return this.setUnsure(m, s, id, true);
  }

  private async setUnsure(m: EntityManager, s: GardenSnapshot, id: string, varietyUnsure: true | null): Promise<void> {
    const [plantId, what] = id.split(':');
    if (plantId && what === 'variety')
      await updateRows(
        m,
        PlantEntity,
        // only what was asked: a plant whose variety is named, and the other way round
        {
          id: plantId,
          gardenId: s.garden.id,
          varietyId: Not(IsNull()),
          varietyUnsure: varietyUnsure ? IsNull() : true,
        },
        { varietyUnsure },
      );
  }
}

interface Grown {
  plant: PlantEntity;
  own: PlantAssessment;
}

/** Returns whether an answer would change what is advised for any plant of the bed. */
function isAsked(s: GardenSnapshot, place: PlaceEntity, plants: readonly Grown[], ask: SoFarAsk): boolean {
  if (ask === 'variety' || ask === 'bush') return false; // of a plant, not of a bed
  if (ask === 'timer') return plants.length > 0 && isTimerDue(s, place);
  const unknown = plants.filter(({ own }) => own.context.case.plant.sinceStart !== true);
  if (ask === 'mulched') return unknown.length > 0 && mulchOf(s, place).kind === 'ask';
  return unknown.some(({ plant, own }) => {
    const { plant: facts, records } = own.context.case;
    if (ask === 'fed') return planBeforeDose(s, own).kind === 'ask';
    if ((facts.heightM ?? 0) < TALL_M || facts.crop === 'pepper') return false;
    // the plan of cuts is worked out only if no cut is recorded
    if (ask === 'cut')
      return facts.habit !== 'determinate' && records.pruning.length === 0 && !cutsOf(own, plant.training).recorded;
    const support = supportOf(own, s.garden.stock ?? {});
    return support.ties > 0 && support.tieOn === null && !records.events.some((e) => TIED.includes(e.what));
  });
}

/** Returns whether the timer was not confirmed or changed for a week. */
function isTimerDue(s: GardenSnapshot, place: PlaceEntity): boolean {
  const set = timerOn(timersOf(s, place), s.today);
  return set !== null && daysBetween(set.date, s.today) >= TIMER_ASKED_EVERY_DAYS;
}

/** Its fruit shows what it is, and nobody was sure. */
const isUnsure = ({ plant, own }: Grown): boolean =>
  plant.varietyUnsure === true && plant.varietyId !== null && own.context.case.plant.stage === 'ripening';

const varietyTask = (s: GardenSnapshot, place: PlaceEntity, plant: PlantEntity): Task => ({
  id: `${plant.id}:variety`,
  plantId: plant.id,
  placeId: place.id,
  title: `Is it ${s.varietyOf(plant)?.name ?? 'that variety'}? ${plant.name}`,
  where: place.name,
  why: 'you were not sure, and now the fruit shows its colour and shape',
  dueOn: s.today,
  minutes: 1,
  litres: null,
  remedy: null,
  dose: null,
  asks: ['variety'],
  cautions: [],
});

/** A bush that grew far beyond its kind is asked about once: its label may be wrong. */
function bushTask(s: GardenSnapshot, place: PlaceEntity, plant: PlantEntity): Task[] {
  const tall = outgrewHabit(plant, growthNotesIn(s, plant));
  if (!tall || newestEvent(s, plant.id, 'tip-ended') !== null) return [];
  const length = (m: number): string => s.format.centimetres(m * 100);
  return [
    {
      id: `${plant.id}:bush`,
      plantId: plant.id,
      placeId: place.id,
      title: `Does it still grow? ${plant.name}`,
      where: place.name,
      why: `it is ${length(tall.heightM)} tall, and bushes of its type end at about ${length(tall.usualM)}. If its shoots grow on instead of ending in flowers, it is a cordon: tied, cut and fed differently`,
      dueOn: s.today,
      minutes: 1,
      litres: null,
      remedy: null,
      dose: null,
      asks: ['bush'],
      cautions: [],
    },
  ];
}

const TIED = ['tied', 'staked', 'not-tied-yet'];

const taskFor = (s: GardenSnapshot, place: PlaceEntity, asks: SoFarAsk[]): Task => ({
  id: place.id,
  plantId: null,
  placeId: place.id,
  title: asks.every((ask) => ask === 'timer') ? `Still right: ${place.name}` : `What was done so far: ${place.name}`,
  where: place.name,
  why: asks.every((ask) => ask === 'timer')
    ? 'the plan counts on its timer'
    : 'nothing is recorded, and the plan depends on it',
  dueOn: s.today,
  minutes: 1,
  litres: null,
  remedy: null,
  dose: null,
  asks,
  ...(asks.includes('timer') ? { timer: timerOn(timersOf(s, place), s.today)! } : {}),
  cautions: [],
});
