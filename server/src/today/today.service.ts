import { Injectable, type OnModuleInit } from '@nestjs/common';
import { DiscoveryService } from '@nestjs/core';
import { InjectDataSource } from '@nestjs/typeorm';
import { TASK_SOURCES, type TaskDone, type TaskDto, type TaskSourceCode } from '@candid-leaf/contract';
import { minutesAtPace, NO_PACE } from '@candid-leaf/core/budget';
import { addDays } from '@candid-leaf/core/units';
import type { DataSource, EntityManager } from 'typeorm';
import { Snapshots, type GardenSnapshot } from '../assessment/snapshots.service.js';
import { GardensService } from '../gardens/gardens.service.js';
import { dayIn } from '../shared/clock.js';
import { badRequest, notFound } from '../shared/http-errors.js';
import { Paces } from './paces.service.js';
import { Postponements } from './postponements.service.js';
import { ShownSince } from './shown-since.service.js';
import { TaskSource, type Tick } from './task-source.js';

/** Codes of the version before: an offline tick may still carry one. */
const OLD_CODES: Readonly<Record<string, TaskSourceCode>> = { round: 'walk' };

/** Returns the key of a task: its source and its id there. */
export const taskKey = (source: TaskSourceCode, id: string): string => `${source}:${id}`;

/** A tick later than this is refused, days. */
const MOST_LATE_DAYS = 14;

/** Column width of task keys; no key is as long. */
const LONGEST_KEY = 120;

/** Today: the tasks of every source in one list, with one way to tick, undo and postpone. */
@Injectable()
export class TodayService implements OnModuleInit {
  private readonly sources = new Map<TaskSourceCode, TaskSource>();

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly snapshots: Snapshots,
    private readonly postponements: Postponements,
    private readonly paces: Paces,
    private readonly shown: ShownSince,
    private readonly discovery: DiscoveryService,
  ) {}

  /** Finds the sources: every provider that is one. */
  onModuleInit(): void {
    for (const { instance } of this.discovery.getProviders())
      if (instance instanceof TaskSource) this.sources.set(instance.code, instance);
  }

  /** Returns all open tasks, and those due now, sorted for the day. */
  async list(s: GardenSnapshot): Promise<{ due: TaskDto[]; all: TaskDto[] }> {
    const hidden = await this.postponements.hiddenOn(this.db.manager, s.garden.id, s.today);
    const paces = await this.paces.of(this.db.manager, s.garden.id);
    const all: TaskDto[] = [];
    for (const code of TASK_SOURCES) {
      const tasks = (await this.sources.get(code)?.list(s)) ?? [];
      const pace = paces.get(code) ?? NO_PACE;
      all.push(
        ...tasks.map(({ id, ...task }) => ({
          key: taskKey(code, id),
          source: code,
          ...task,
          minutes: minutesAtPace(task.minutes, pace),
          estimatedMinutes: task.minutes,
        })),
      );
    }
    // tasks on hold are shown beside those due, as long as their reason lasts
    const due = all.filter((t) => (t.dueOn <= s.today || t.held) && !hidden.has(t.key));
    const rank = (t: TaskDto): number => TASK_SOURCES.indexOf(t.source);
    due.sort((a, b) => rank(a) - rank(b) || (a.dueOn < b.dueOn ? -1 : 1));
    return { due: await this.shown.marked(s.garden.id, s.today, due), all };
  }

  /** Ticks a task; sending it twice does it once. Returns the id of the record it wrote, if any. */
  done(
    gardenId: string,
    key: string,
    tick: Tick,
    { estimatedMinutes = 0, at }: Pick<TaskDone, 'estimatedMinutes' | 'at'> = {},
  ): Promise<{ recordId: string | null }> {
    return this.inGarden(gardenId, key, async (m, now, source, id) => {
      const s = this.asDone(now, at);
      // a late tick says nothing about the time between two ticks
      if (s === now) await this.paces.note(m, gardenId, source.code, estimatedMinutes);
      await this.postponements.show(m, gardenId, key);
      return { recordId: await source.done(m, s, id, tick) };
    });
  }

  /**
   * A tick saved offline counts for the day it was made.
   * @throws 400 if that is long ago: what was due then is not known any more, and today's work is not done by it
   */
  private asDone(s: GardenSnapshot, at: string | undefined): GardenSnapshot {
    if (at === undefined || s.garden.pinnedDate !== null) return s;
    const day = dayIn(s.garden.timeZone, new Date(at));
    if (day < addDays(s.today, -MOST_LATE_DAYS))
      throw badRequest([
        {
          path: 'at',
          reason: `was on ${s.format.day(day)}, more than two weeks ago: save it as a record of that day`,
        },
      ]);
    return day < s.today ? { ...s, today: day } : s;
  }

  /** Undoes a tick or a "not today". */
  undo(gardenId: string, key: string, recordId: string | null): Promise<void> {
    return this.inGarden(gardenId, key, async (m, s, source, id) => {
      await this.postponements.show(m, gardenId, key);
      await source.undo(m, s, id, recordId);
    });
  }

  /** Postpones a task until tomorrow. */
  postpone(gardenId: string, key: string): Promise<void> {
    return this.inGarden(gardenId, key, async (m, s, source, id) => {
      if (!(await source.knows(m, s, id))) throw notFound('task');
      await this.postponements.hide(m, gardenId, key, addDays(s.today, 1));
    });
  }

  /** Runs inside the garden's lock on current data: two simultaneous ticks run in turn. */
  private inGarden<T>(
    gardenId: string,
    key: string,
    work: (m: EntityManager, s: GardenSnapshot, source: TaskSource, id: string) => Promise<T>,
  ): Promise<T> {
    const at = key.indexOf(':');
    const code = key.slice(0, at);
    const source = this.sources.get((OLD_CODES[code] ?? code) as TaskSourceCode);
    if (at < 0 || !source || key.length > LONGEST_KEY) throw notFound('task');
    return this.gardens.change(gardenId, async (m) =>
      work(m, await this.snapshots.load(gardenId, m), source, key.slice(at + 1)),
    );
  }
}
