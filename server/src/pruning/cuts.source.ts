import { Injectable } from '@nestjs/common';
import { cutsOf } from '@candid-leaf/core/care';
import { cutHoldInWords, cutsInWords, cutsWhy, RECORDED_AS, rootingOn, type CutPlan } from '@candid-leaf/core/pruning';
import { CAUTIONS, type Happening } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import type { EntityManager } from 'typeorm';
import { Assessments } from '../assessment/assessments.service.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordsService, partOf } from '../records/records.service.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';
import { TreatmentsService } from '../treatments/treatments.service.js';

const ALWAYS = ['Watch your eyes and fingers. Choose a dry day.', CAUTIONS['wash-hands']];
const BLADES =
  'Clean the blades with 70 % alcohol first and after each sick plant. For a mosaic virus alcohol is not enough.';
const ROOTING = 'rooting';

/** The week's cuts of each plant within its budget, and suckers rooting in water. */
@Injectable()
export class CutsSource extends RecordingSource {
  readonly code = 'cut';

  constructor(
    private readonly assessments: Assessments,
    records: RecordsService,
    private readonly treatments: TreatmentsService,
  ) {
    super(records);
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    // cuts asked for by a finding have their own task and share the week's budget
    const elsewhere = await this.treatments.plantsWith(s.garden.id, (r) => r.cuts === true);
    const tasks: Task[] = [];
    for (const place of livePlaces(s)) {
      const plants = livePlantsIn(s, place.id);
      tasks.push(...plants.flatMap((plant) => rootingTask(s, place, plant) ?? []));
      const planned = await this.plansIn(
        s,
        plants.filter((p) => !elsewhere.has(p.id)),
      );
      for (const group of [planned.filter((p) => !p.plan.hold), planned.filter((p) => p.plan.hold)])
        if (group.length > 0) tasks.push(cutsTask(s, place, group));
    }
    return tasks;
  }

  /** Saves what was cut. A planted sucker empties its glass. */
  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const [of, what] = id.split(':');
    if (what === ROOTING) return this.rooted(m, s, of, tick);
    const place = livePlaces(s).find((p) => p.id === of);
    if (!place) return null;
    const open = (await this.plansIn(s, livePlantsIn(s, place.id))).filter(
      ({ plan }) => !plan.hold && plan.cuts.length > 0,
    );
    for (const [i, { plant, plan }] of open.entries())
      await this.records.write(m, s.garden.id, tick.accountId, s.today, {
        id: i === 0 ? tick.recordId : partOf(tick.recordId, plant.id),
        type: 'pruning',
        plantId: plant.id,
        data: {
          date: s.today,
          cuts: countOf(plan),
          what: [...new Set(plan.cuts.map((c) => RECORDED_AS[c.kind]))],
        },
      });
    return open.length > 0 ? tick.recordId : null;
  }

  private async rooted(
    m: EntityManager,
    s: GardenSnapshot,
    plantId: string | undefined,
    tick: Tick,
  ): Promise<string | null> {
    const plant = s.plants.find((p) => p.id === plantId && !p.retiredOn);
    const place = plant && s.places.find((p) => p.id === plant.placeId);
    const task = plant && place && rootingTask(s, place, plant);
    if (!task?.rooting || task.dueOn > s.today) return null;
    const what = task.rooting === 'plant' ? 'sucker-planted' : 'roots-looked-for';
    return this.records.writeEach(m, s.garden.id, tick, {
      plantIds: [plant!.id],
      type: 'event',
      data: { date: s.today, what } as Happening,
    });
  }

  /** Returns plants with something to cut, or on hold. */
  private async plansIn(s: GardenSnapshot, plants: readonly PlantEntity[]): Promise<Planned[]> {
    const out: Planned[] = [];
    for (const plant of plants) {
      const plan = cutsOf(await this.assessments.ofPlant(s, plant), plant.training);
      if (plan.cuts.length > 0 || plan.hold) out.push({ plant, plan });
    }
    return out;
  }
}

interface Planned {
  plant: PlantEntity;
  plan: CutPlan;
}
const countOf = (plan: CutPlan): number => plan.cuts.reduce((n, c) => n + c.count, 0);

/** Groups the cuts of one bed: what to cut on which plant; held ones with the longest wait. */
function cutsTask(s: GardenSnapshot, place: PlaceEntity, group: readonly Planned[]): Task {
  const count = group.reduce((n, { plan }) => n + countOf(plan), 0);
  const [longest] = group.flatMap(({ plan }) => plan.hold ?? []).sort((a, b) => (a.until < b.until ? 1 : -1));
  const names = group.length === 1 ? group[0]!.plant.name : place.name;
  return {
    id: `${place.id}:${longest ? 'wait' : 'cuts'}`,
    plantId: null,
    placeId: place.id,
    plantIds: group.map(({ plant }) => plant.id),
    title: count > 0 ? `${count} ${count === 1 ? 'cut' : 'cuts'}: ${names}` : `Prune: ${names}`,
    where: group.length === 1 ? place.name : `${group.length} plants`,
    why:
      group.length === 1
        ? cutsWhy(group[0]!.plan, s.format)
        : 'at most four a week per plant, worst first; each plant’s page shows where',
    dueOn: longest?.until ?? s.today,
    minutes: Math.max(1, count),
    litres: null,
    remedy: null,
    dose: null,
    ...(group.length === 1 && count > 0 ? { amount: cutsInWords(group[0]!.plan.cuts) } : {}),
    ...(group.length > 1 ? { parts: group.map(({ plant, plan }) => `${plant.name}: ${cutsInWords(plan.cuts)}`) } : {}),
    ...(longest ? { held: { until: longest.until, because: cutHoldInWords(longest, s.format) } } : {}),
    cautions: [...(group.some(({ plan }) => plan.cleanBlades) ? [BLADES] : []), ...ALWAYS],
  };
}

/** Returns the next step of a sucker in water, until it is planted or lost. */
function rootingTask(s: GardenSnapshot, place: PlaceEntity, plant: PlantEntity): Task | null {
  const events = s
    .recordsOf(plant.id)
    .filter((r) => r.type === 'event')
    .map((r) => r.data as Happening);
  const last = (what: Happening['what']): number => events.findLastIndex((e) => e.what === what);
  const started = last('sucker-in-water');
  // two on one day stand in the order they were saved
  if (started < 0 || Math.max(last('sucker-planted'), last('sucker-lost')) > started) return null;
  const since = (what: Happening['what']): Day | null => (last(what) > started ? events[last(what)]!.date : null);
  const { date } = events[started]!;
  const next = rootingOn(
    { startedOn: date, lookedOn: since('roots-looked-for'), rootsOn: since('roots-seen') },
    s.today,
  );
  return {
    id: `${plant.id}:${ROOTING}`,
    plantId: plant.id,
    placeId: place.id,
    title: `${next.title}: sucker of ${plant.name}`,
    where: next.step === 'plant' ? place.name : 'In its glass, bright but out of the sun',
    why: `in water since ${s.format.day(date)}; ${
      next.step === 'plant'
        ? 'it has roots'
        : next.late
          ? 'without roots by now, take a fresh sucker'
          : 'it roots in one to two weeks'
    }`,
    dueOn: next.on,
    minutes: next.step === 'plant' ? 10 : 2,
    litres: null,
    remedy: null,
    dose: null,
    rooting: next.step,
    cautions: next.step === 'plant' ? ['Keep it moist for a week and out of the sun for two days.'] : [],
  };
}
