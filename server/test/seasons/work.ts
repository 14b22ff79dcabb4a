import type { GardenView, RecordDto, TaskDto } from '@candid-leaf/contract';
import { asksNow } from '@candid-leaf/core/growth';
import { STAGES, type RecordType, type Stage } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import type { gardenOf } from '../gardening.js';
import type { LivingPlant } from './plant-in-ground.js';

/** How a gardener follows Today. */
export interface Habit {
  name: 'careful' | 'plain' | 'forgetful';
  /** chance to look at Today on a day, and to do a task that stands there */
  looks: number;
  does: number;
  /** answers what is asked about growth */
  answers: boolean;
}
/** One does everything, one misses a task or a day now and then, one comes every other day. */
export const HABITS: readonly Habit[] = [
  { name: 'careful', looks: 1, does: 1, answers: true },
  { name: 'plain', looks: 0.93, does: 0.9, answers: false },
  { name: 'forgetful', looks: 0.55, does: 0.7, answers: false },
];

/** Of a plant on one walk: its stage, then its height. */
const MOST_QUESTIONS = 2;
/** Buds, or full size fruit, are seen about so long before flowers and colour, days. */
const SOON_DAYS = 8;

/** What the page offers to say about a milestone: reached, or not yet; before flowers and colour also how near it is. */
function stageAnswer(plant: LivingPlant, asked: Stage): object {
  const at = (stage: Stage): number => STAGES.indexOf(stage);
  if (at(plant.now.stage) >= at(asked)) return { stage: asked, orLater: true };
  const near = at(plant.inDays(SOON_DAYS).stage) >= at(asked);
  return {
    stage: STAGES[at(asked) - 1],
    ...(asked === 'flowering' || asked === 'ripening' ? { soon: near } : {}),
  };
}

/** Knee, hip, shoulder: the nearest of the heights people point at, m. */
const pointed = ({ now }: LivingPlant): number =>
  [0.2, 0.5, 0.95, 1.4, 1.9].reduce((a, b) => (Math.abs(b - now.heightM) < Math.abs(a - now.heightM) ? b : a));

type Garden = Awaited<ReturnType<typeof gardenOf>>;
/** The plants of one simulated garden by their ids, with the bed or pot of each. */
export type Living = ReadonlyMap<string, { placeId: string; plant: LivingPlant }>;

/** A gardener at work on one day: does what Today says, with what is found in the simulated garden. */
export class Worker {
  /** calls that did not succeed */
  readonly failed: string[] = [];
  firstPick: Day | null = null;

  constructor(
    private readonly garden: Garden,
    private readonly living: Living,
    private readonly habit: Habit,
    private readonly random: () => number,
  ) {}

  private async send(path: string, method: 'put' | 'post', body: object): Promise<void> {
    const answer = await this.garden.agent[method](this.garden.url(path)).send(body);
    if (answer.status >= 300)
      this.failed.push(`${method} ${path} ${answer.status} ${JSON.stringify(answer.body).slice(0, 200)}`);
  }
  private async write(type: RecordType, of: { plantId?: string; placeId?: string }, data: object): Promise<void> {
    await this.send('/records', 'put', { id: uuid(), type, ...of, data });
  }

  /** Works through what is due. */
  async day(view: GardenView, today: Day): Promise<void> {
    if (view.today.some((t) => t.source === 'pick')) this.firstPick ??= today;
    if (this.random() >= this.habit.looks) return;
    for (const task of view.today) if (!task.held && this.random() < this.habit.does) await this.do(task, today);
    if (this.habit.answers)
      for (const { plant, growth } of view.places.flatMap((p) => p.plants))
        if (asksNow(growth, today)) await this.growthOf(plant.id, today, 1);
  }

  private async do(task: TaskDto, today: Day): Promise<void> {
    const { placeId, plantId } = task;
    if (task.feel && placeId) {
      const here = [...this.living.values()].find((p) => p.placeId === placeId)!;
      return this.write('soil-check', { placeId }, { date: today, feel: here.plant.feel, depthCm: 7 });
    }
    if (task.asks && placeId) {
      for (const ask of task.asks) await this.answer(ask, placeId, today);
      return;
    }
    if (task.picks) {
      for (const id of task.plantIds ?? [])
        if (this.living.get(id)?.plant.now.stage === 'ripening')
          await this.write('picking', { plantId: id }, { date: today, count: 3, state: 'sound', use: 'eaten' });
      return;
    }
    if (task.see && plantId) {
      await this.write('inspection', { plantId }, { date: today, allClear: true, signs: [] });
      return;
    }
    if (task.walk && this.habit.answers) await this.growth(placeId!, today);
    await this.send(`/tasks/${encodeURIComponent(task.key)}/done`, 'post', {
      recordId: uuid(),
      estimatedMinutes: task.estimatedMinutes,
    });
  }

  private async answer(ask: NonNullable<TaskDto['asks']>[number], placeId: string, date: Day): Promise<void> {
    if (ask === 'tied') await this.write('event', { placeId }, { date, what: 'not-tied-yet' });
    else if (ask === 'cut') await this.write('event', { placeId }, { date, what: 'not-cut-yet' });
    else if (ask === 'fed') await this.write('feeding', { placeId }, { date, n: 0, p2o5: 0, k2o: 0, grams: 0 });
    else if (ask === 'mulched') await this.write('covering', { placeId }, { date, what: 'mulch', did: 'off' });
  }

  /** The questions of the walk, where they are asked, in the words that the page offers. */
  private async growth(placeId: string, date: Day): Promise<void> {
    for (const [plantId, { placeId: at }] of this.living)
      if (at === placeId) await this.growthOf(plantId, date, MOST_QUESTIONS);
  }
  /** Answers what is asked about one plant, at most so often. */
  private async growthOf(plantId: string, date: Day, most: number): Promise<void> {
    const { plant } = this.living.get(plantId)!;
    for (let asked = 0; asked < most; asked++) {
      const { growth } = await this.garden.plantView(plantId);
      if (growth.unsure) await this.write('growth', { plantId }, { date, ...stageAnswer(plant, growth.unsure.stage) });
      else if (growth.askHeight)
        await this.write('growth', { plantId }, { date, heightM: pointed(plant), rough: true });
      else break;
    }
  }

  /** Waters and feeds the simulated ground with what was recorded today; nothing else was done. */
  async carryOut(today: Day): Promise<void> {
    for (const type of ['watering', 'feeding'] as const)
      for (const { data, plantId, placeId } of await this.recorded(type)) {
        const { date, litres, n, grams, form } = data as Partial<Record<'litres' | 'n' | 'grams', number>> & {
          date: Day;
          form?: string;
        };
        if (date !== today) continue;
        for (const [id, at] of this.living) {
          if (plantId ? plantId !== id : placeId !== at.placeId) continue;
          if (type === 'watering') at.plant.water(today, litres ?? 0);
          else at.plant.feed(((grams ?? 0) * (n ?? 0)) / 100, form === 'amendment');
        }
      }
  }
  private async recorded(type: RecordType): Promise<RecordDto[]> {
    return (await this.garden.agent.get(this.garden.url(`/records?type=${type}`)).expect(200)).body as RecordDto[];
  }
}
