import { CAUTIONS, type Happening } from '@candid-leaf/core/records';
import { Injectable } from '@nestjs/common';
import { supportOf } from '@candid-leaf/core/care';
import { SUPPORT_WORDS, type SupportPlan } from '@candid-leaf/core/support';
import type { EntityManager } from 'typeorm';
import { Assessments } from '../assessment/assessments.service.js';
import { livePlaces, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordsService } from '../records/records.service.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';

/** Cordons to tie, bed by bed; supports to check before strong wind. */
@Injectable()
export class TyingSource extends RecordingSource {
  readonly code = 'tie';

  constructor(
    private readonly assessments: Assessments,
    records: RecordsService,
  ) {
    super(records);
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const tasks: Task[] = [];
    for (const place of livePlaces(s)) {
      const plans = await this.plansIn(s, place);
      tasks.push(...tieTask(s, place, plans), ...windTask(s, place, plans));
    }
    return tasks;
  }

  /** Saves one record per plant that was due. A check before wind counts as a tie: loose ones are tied. */
  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const place = livePlaces(s).find((p) => id.startsWith(p.id));
    if (!place) return null;
    const plans = await this.plansIn(s, place);
    const due = id.endsWith(WIND) ? plans.filter(({ plan }) => plan.checkBefore !== null) : dueIn(s, plans);
    return this.records.writeEach(m, s.garden.id, tick, {
      plantIds: due.map(({ plant }) => plant.id),
      type: 'event',
      data: { date: s.today, what: 'tied' } as Happening,
    });
  }

  private async plansIn(s: GardenSnapshot, place: PlaceEntity): Promise<Planned[]> {
    const stock = s.garden.stock ?? {};
    return (await this.assessments.plantsIn(s, place)).map(({ plant, own }) => ({
      plant,
      plan: supportOf(own, stock),
    }));
  }
}

interface Planned {
  plant: PlantEntity;
  plan: SupportPlan;
}
const WIND = ':wind';
const TYING = [`${CAUTIONS.canes} Watch eyes and fingers with wire ties.`, CAUTIONS['plastic-string']];
const dueIn = (s: GardenSnapshot, plans: readonly Planned[]): Planned[] =>
  plans.filter(({ plan }) => plan.tieOn !== null && plan.tieOn <= s.today);

function tieTask(s: GardenSnapshot, place: PlaceEntity, plans: readonly Planned[]): Task[] {
  const next = plans.filter(({ plan }) => plan.tieOn !== null).sort((a, b) => (a.plan.tieOn! < b.plan.tieOn! ? -1 : 1));
  const [first] = next;
  if (!first) return [];
  const own = first.plan.tieOn! <= s.today ? dueIn(s, plans) : next.filter((p) => p.plan.tieOn === first.plan.tieOn);
  const string = own.reduce((sum, { plan }) => sum + plan.tieStringM / Math.max(1, plan.ties), 0);
  const reTie = own.filter(({ plan }) => plan.reTie).map(({ plant }) => plant.name);
  return [
    {
      id: `${place.id}:tie`,
      plantId: null,
      placeId: place.id,
      plantIds: own.map(({ plant }) => plant.id),
      title: `Tie: ${own.map(({ plant }) => plant.name).join(', ')}`,
      where: place.name,
      why:
        reTie.length > 0
          ? `a tie cuts into ${reTie.join(' and ')}: loosen it and leave room for a finger`
          : `stems bend as they grow: a loose loop every ${s.format.centimetres(22)} or so, or once a week. Support: ${SUPPORT_WORDS[first.plan.kind]}${first.plan.because === 'in-stock' ? ', from your stock' : ''}`,
      dueOn: first.plan.tieOn! < s.today ? s.today : first.plan.tieOn!,
      minutes: 2 * own.length,
      litres: null,
      remedy: null,
      dose: null,
      amount: `one tie each, ${s.format.metres(string)} of soft string`,
      cautions: TYING,
    },
  ];
}

function windTask(s: GardenSnapshot, place: PlaceEntity, plans: readonly Planned[]): Task[] {
  const tall = plans.filter(({ plan }) => plan.checkBefore !== null);
  const [windy] = tall;
  if (!windy) return [];
  // tied today counts as checked
  if (
    tall.every(({ plant }) =>
      s.recordsOf(plant.id).some((r) => r.day === s.today && (r.data as { what?: string }).what === 'tied'),
    )
  )
    return [];
  return [
    {
      id: `${place.id}${WIND}`,
      plantId: null,
      placeId: place.id,
      title: `Before the wind: ${place.name}`,
      where: `${tall.length} ${tall.length === 1 ? 'plant' : 'plants'}`,
      why: `strong wind is forecast for ${s.format.day(windy.plan.checkBefore!)}: test each stake, cage and string, tie what is loose${windy.plan.anchor ? ', move pots together or against a wall' : ''}, pick what is ripe`,
      dueOn: s.today,
      minutes: 2 * tall.length,
      litres: null,
      remedy: null,
      dose: null,
      cautions: TYING,
    },
  ];
}
