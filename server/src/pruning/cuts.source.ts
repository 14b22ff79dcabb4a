import { Injectable } from '@nestjs/common';
import { cutsOf } from '@candid-leaf/core/care';
import { cutHoldInWords, cutsInWords, cutsWhy, RECORDED_AS, rootingOn } from '@candid-leaf/core/pruning';
import type { Happening } from '@candid-leaf/core/records';
import type { EntityManager } from 'typeorm';
import { Assessments } from '../assessment/assessments.service.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordsService } from '../records/records.service.js';
import { TaskSource, type Task, type Tick } from '../today/task-source.js';
import { TreatmentsService } from '../treatments/treatments.service.js';

const CAUTIONS = [
  'Mind eyes and fingers; on a dry day.',
  'Leaves and stems are poisonous to people and pets in quantity: wash hands afterwards.',
];
const BLADES =
  'Clean the blades with 70 % alcohol first and after each sick plant; for a mosaic virus alcohol is not enough.';
const ROOTING = 'rooting';

/** The week's cuts of each plant within its budget, and suckers that root in a glass. */
@Injectable()
export class CutsSource extends TaskSource {
  readonly code = 'cut';

  constructor(
    private readonly assessments: Assessments,
    private readonly records: RecordsService,
    private readonly treatments: TreatmentsService,
  ) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    // cuts that a finding asked for are told by its own task, and share the week's budget
    const elsewhere = await this.treatments.plantsWith(s.garden.id, (r) => r.cuts === true);
    const tasks: Task[] = [];
    for (const place of livePlaces(s))
      for (const plant of livePlantsIn(s, place.id)) {
        const rooting = rootingTask(s, place, plant);
        if (rooting) tasks.push(rooting);
        if (!elsewhere.has(plant.id)) tasks.push(...(await this.cutsOf(s, place, plant)));
      }
    return tasks;
  }

  /** Cut: written down with what it was. A rooted sucker that was planted: the glass is empty. */
  async done(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    if (await this.records.exists(m, s.garden.id, tick.recordId)) return tick.recordId;
    const [plantId, what] = id.split(':');
    const plant = s.plants.find((p) => p.id === plantId && !p.retiredOn);
    const place = plant && s.places.find((p) => p.id === plant.placeId);
    if (!plant || !place) return null;
    const write = (type: 'event' | 'pruning', data: object): Promise<unknown> =>
      this.records.write(m, s.garden.id, tick.accountId, s.today, {
        id: tick.recordId,
        type,
        plantId: plant.id,
        data: { date: s.today, ...data },
      });
    if (what === ROOTING) {
      const task = rootingTask(s, place, plant);
      if (!task?.rooting || task.dueOn > s.today) return null;
      await write('event', { what: task.rooting === 'plant' ? 'sucker-planted' : 'roots-looked-for' });
      return tick.recordId;
    }
    const plan = cutsOf(await this.assessments.ofPlant(s, plant), plant.training);
    if (plan.hold || plan.cuts.length === 0) return null;
    await write('pruning', {
      cuts: plan.cuts.reduce((n, c) => n + c.count, 0),
      what: [...new Set(plan.cuts.map((c) => RECORDED_AS[c.kind]))],
    });
    return tick.recordId;
  }

  async undo(m: EntityManager, s: GardenSnapshot, _id: string, recordId: string | null): Promise<void> {
    if (recordId && (await this.records.exists(m, s.garden.id, recordId)))
      await this.records.markDeleted(m, s.garden.id, recordId, true);
  }

  private async cutsOf(s: GardenSnapshot, place: PlaceEntity, plant: PlantEntity): Promise<Task[]> {
    const plan = cutsOf(await this.assessments.ofPlant(s, plant), plant.training);
    const count = plan.cuts.reduce((n, c) => n + c.count, 0);
    if (count === 0 && !plan.hold) return [];
    const held = plan.hold && { until: plan.hold.until, because: cutHoldInWords(plan.hold, s.format) };
    return [
      {
        id: `${plant.id}:cuts`,
        plantId: plant.id,
        placeId: place.id,
        title: count > 0 ? `${count} ${count === 1 ? 'cut' : 'cuts'}: ${plant.name}` : `Cuts: ${plant.name}`,
        where: place.name,
        why: cutsWhy(plan, s.format),
        dueOn: held?.until ?? s.today,
        minutes: Math.max(1, count),
        litres: null,
        remedy: null,
        dose: null,
        ...(count > 0 ? { amount: cutsInWords(plan.cuts) } : {}),
        ...(held ? { held } : {}),
        cautions: [...(plan.cleanBlades ? [BLADES] : []), ...CAUTIONS],
      },
    ];
  }
}

/** A sucker that stands in water: what is next. */
function rootingTask(s: GardenSnapshot, place: PlaceEntity, plant: PlantEntity): Task | null {
  const events = s
    .recordsOf(plant.id)
    .filter((r) => r.type === 'event')
    .map((r) => r.data as Happening);
  const started = events.findLast((e) => e.what === 'sucker-in-water');
  const looked = events.findLast((e) => e.what === 'roots-looked-for');
  const planted = events.findLast((e) => e.what === 'sucker-planted');
  const next = started && rootingOn(started.date, looked?.date ?? null, planted?.date ?? null, s.today);
  if (!next) return null;
  return {
    id: `${plant.id}:${ROOTING}`,
    plantId: plant.id,
    placeId: place.id,
    title: `${next.title}: sucker of ${plant.name}`,
    where: 'In its glass, bright and out of the sun',
    why: `put in water on ${s.format.day(started.date)}; it roots in one to two weeks`,
    dueOn: next.on,
    minutes: next.step === 'plant' ? 10 : 2,
    litres: null,
    remedy: null,
    dose: null,
    rooting: next.step,
    cautions: next.step === 'plant' ? ['Keep it moist for a week, and out of the sun for two days.'] : [],
  };
}
