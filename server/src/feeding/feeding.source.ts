import { Injectable } from '@nestjs/common';
import { feedingRecord, type FeedForPlace, type PlannedFeed } from '@candid-leaf/core/care';
import { feedInWords, holdInWords, type FeedPlan } from '@candid-leaf/core/nutrition';
import type { Product } from '@candid-leaf/core/products';
import type { EntityManager } from 'typeorm';
import { Assessments } from '../assessment/assessments.service.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { ProductsService } from '../products/products.service.js';
import { RecordsService } from '../records/records.service.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';
import { doseOf, feedPlanOf } from './feed-of-plants.js';
import { TreatmentsService } from '../treatments/treatments.service.js';

/** Per bed, and per plant in it, minutes (judgement). */
const MINUTES = { place: 3, plant: 1 } as const;
const CAUTIONS = [
  'On damp soil: water first. In warm weather early or late in the day.',
  'Always follow the label; more is not better.',
];

/** A plant with its next feed. */
interface Planned {
  plant: PlantEntity;
  plan: FeedPlan;
}

/** Plants of one bed fed alike on one day. */
interface Group {
  place: PlaceEntity;
  plants: PlantEntity[];
  plan: PlannedFeed;
  feed: FeedForPlace | null;
}

/** Feeds that are due, bed by bed, with product and amount; and the check a week after a trial feed. */
@Injectable()
export class FeedingSource extends RecordingSource {
  readonly code = 'feed';

  constructor(
    private readonly assessments: Assessments,
    private readonly products: ProductsService,
    records: RecordsService,
    private readonly treatments: TreatmentsService,
  ) {
    super(records);
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const products = await this.products.all(s.garden.id);
    const tasks: Task[] = [];
    const elsewhere = await this.fedElsewhere(s);
    for (const place of livePlaces(s)) {
      const plans = await this.plansIn(s, place, products, elsewhere);
      tasks.push(...groupsOf(s, place, plans, products).map((g) => taskFor(s, g)));
      tasks.push(
        ...plans.flatMap(({ plant, plan }) => (plan.kind === 'look' ? [lookTask(s, place, plant, plan)] : [])),
      );
    }
    return tasks;
  }

  /** Saves one record per plant of the group, with the label's numbers. On hold or already done: does nothing. */
  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const place = livePlaces(s).find((p) => id.startsWith(p.id));
    const products = await this.products.all(s.garden.id, m);
    const group =
      place &&
      groupsOf(s, place, await this.plansIn(s, place, products, await this.fedElsewhere(s)), products).find(
        (g) => idOf(g) === id,
      );
    if (!group?.feed || group.plan.hold || group.plan.on > s.today) return null;
    return this.records.writeEach(m, s.garden.id, tick, {
      plantIds: group.plants.map((p) => p.id),
      type: 'feeding',
      data: feedingRecord(group.feed, s.today),
    });
  }

  /** A feed asked for by a finding has its own task. */
  private fedElsewhere(s: GardenSnapshot): Promise<ReadonlySet<string>> {
    return this.treatments.plantsWith(s.garden.id, (r) => r.dose === 'light-feed');
  }

  private async plansIn(
    s: GardenSnapshot,
    place: PlaceEntity,
    products: readonly Product[],
    elsewhere: ReadonlySet<string>,
  ): Promise<Planned[]> {
    return (await this.assessments.plantsIn(s, place))
      .filter(({ plant }) => !elsewhere.has(plant.id))
      .map(({ plant, own }) => ({ plant, plan: feedPlanOf(s, place, own, products) }));
  }
}

const idOf = (g: Pick<Group, 'place' | 'plants'>): string => `${g.place.id}:${g.plants[0]!.id}`;

/** Groups plants of a bed whose next feed has the same day, product and strength. */
function groupsOf(
  s: GardenSnapshot,
  place: PlaceEntity,
  plans: readonly Planned[],
  products: readonly Product[],
): Group[] {
  const alike = new Map<string, Group>();
  for (const { plant, plan } of plans) {
    if (plan.kind !== 'feed') continue;
    const key = [plan.on, plan.reason, plan.lead, plan.strength, plan.hold?.kind].join(' ');
    const group = alike.get(key) ?? { place, plants: [], plan, feed: null };
    group.plants.push(plant);
    alike.set(key, group);
  }
  return [...alike.values()].map((g) => ({ ...g, feed: doseOf(s, place, g.plan, g.plants.length, products) }));
}

function taskFor(s: GardenSnapshot, g: Group): Task {
  const { plan, plants, place, feed } = g;
  const all = plants.length === livePlantsIn(s, place.id).length;
  return {
    id: idOf(g),
    plantId: null,
    placeId: place.id,
    plantIds: plants.map((p) => p.id),
    title: `Feed: ${all ? place.name : plants.map((p) => p.name).join(', ')}`,
    where: feed ? feed.product.name : 'No feed in the shed is allowed by your organic-only rule',
    why: feedInWords({ ...plan, hold: null }, s.today, s.format),
    dueOn: plan.on,
    minutes: MINUTES.place + MINUTES.plant * plants.length,
    litres: feed?.dose.solutionL ?? null,
    remedy: null,
    dose: null,
    ...(feed ? { amount: feed.text } : {}),
    ...(plan.hold && plan.wantedOn <= s.today
      ? { held: { until: plan.on, because: holdInWords(plan.hold, s.format) } }
      : {}),
    cautions: [...CAUTIONS, ...(feed?.product.cautions ?? [])],
  };
}

function lookTask(
  s: GardenSnapshot,
  place: PlaceEntity,
  plant: PlantEntity,
  plan: Extract<FeedPlan, { kind: 'look' }>,
): Task {
  return {
    id: `${place.id}:${plant.id}:look`,
    plantId: plant.id,
    placeId: place.id,
    title: `Check the new leaves: ${plant.name}`,
    where: place.name,
    why: feedInWords(plan, s.today, s.format),
    dueOn: plan.on,
    minutes: 1,
    litres: null,
    remedy: null,
    dose: null,
    see: 'low-leaves',
    cautions: [],
  };
}
