import { type Happening } from '@candid-leaf/core/records';
import { Injectable } from '@nestjs/common';
import { tapOf } from '@candid-leaf/core/care';
import { tapInWords, type TapPlan } from '@candid-leaf/core/pollination';
import type { EntityManager } from 'typeorm';
import { Assessments } from '../assessment/assessments.service.js';
import { livePlaces, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordsService } from '../records/records.service.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';

/**
 * Flowers to tap where neither wind nor bees reach; and a note that tapping won't help when heat or cold spoils
 * pollen.
 */
@Injectable()
export class TappingSource extends RecordingSource {
  readonly code = 'tap';

  constructor(
    private readonly assessments: Assessments,
    records: RecordsService,
  ) {
    super(records);
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const tasks: Task[] = [];
    for (const place of livePlaces(s)) tasks.push(...taskFor(s, place, await this.plansIn(s, place)));
    return tasks;
  }

  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const place = livePlaces(s).find((p) => p.id === id);
    const due = place ? (await this.plansIn(s, place)).filter(({ plan }) => plan.kind === 'tap') : [];
    return this.records.writeEach(m, s.garden.id, tick, {
      plantIds: due.map(({ plant }) => plant.id),
      type: 'event',
      data: { date: s.today, what: 'pollination-assist' } as Happening,
    });
  }

  private async plansIn(s: GardenSnapshot, place: PlaceEntity): Promise<{ plant: PlantEntity; plan: TapPlan }[]> {
    return (await this.assessments.plantsIn(s, place)).map(({ plant, own }) => ({ plant, plan: tapOf(own) }));
  }
}

function taskFor(
  s: GardenSnapshot,
  place: PlaceEntity,
  plans: readonly { plant: PlantEntity; plan: TapPlan }[],
): Task[] {
  const tap = plans.filter(({ plan }) => plan.kind === 'tap');
  const useless = plans.find(({ plan }) => plan.kind === 'useless');
  const said = tap[0] ?? useless;
  if (!said) return [];
  const words = tapInWords(said.plan, s.format);
  return [
    {
      id: place.id,
      plantId: null,
      placeId: place.id,
      title: `Tap the flowers: ${place.name}`,
      where: `${tap.length} ${tap.length === 1 ? 'plant' : 'plants'}: tap the string or truss two or three times`,
      why: words,
      dueOn: s.today,
      minutes: Math.max(1, tap.length),
      litres: null,
      remedy: null,
      dose: null,
      ...(tap.length === 0 ? { held: { until: s.today, because: words } } : {}),
      cautions: [],
    },
  ];
}
