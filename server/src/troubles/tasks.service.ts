import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { TaskDto } from '@candid-leaf/contract';
import { addDays, disorderRow, remedyRow, type Dose } from '@candid-leaf/core';
import { In, IsNull, type DataSource, type EntityManager } from 'typeorm';
import { GardenBooks, type GardenBook } from '../cases/garden-book.js';
import { InsightService } from '../cases/insight.service.js';
import { gone } from '../common/refusals.js';
import { GardensService } from '../gardens/gardens.service.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordsService } from '../records/records.service.js';
import { DismissalEntity } from './dismissal.entity.js';
import { isProtectKey, protectTasks } from './protect-tasks.js';
import { TaskEntity } from './task.entity.js';
import { TroubleEntity } from './trouble.entity.js';

/** Remedies that are a watering: ticking one writes the record. */
const isWatering = (t: { remedy: string; dose: Dose | null }): boolean =>
  ['even-watering', 'water-now', 'deep-soak'].includes(t.remedy) && (t.dose?.litres ?? 0) > 0;

/** The day under which what is done once and for all is dismissed. */
const FOR_GOOD = '9999-12-31';

const one = (x: number): number => Math.round(x * 10) / 10;

@Injectable()
export class TasksService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly books: GardenBooks,
    private readonly insights: InsightService,
    private readonly records: RecordsService,
  ) {}

  /** What is open: taken-on remedies, follow-ups, and waterings that the balance asks for. Sorted for the day. */
  async open(book: GardenBook): Promise<{ due: TaskDto[]; all: TaskDto[] }> {
    const gardenId = book.garden.id;
    await this.insights.prepare(book);
    const [stored, troubles, dismissed] = await Promise.all([
      this.db.manager.find(TaskEntity, { where: { gardenId, doneOn: IsNull() } }),
      this.db.manager.find(TroubleEntity, { where: { gardenId, closedOn: IsNull() } }),
      this.db.manager.find(DismissalEntity, { where: { gardenId, day: In([book.today, FOR_GOOD]) } }),
    ]);
    const live = (id: string): PlantEntity | undefined => book.plants.find((p) => p.id === id && !p.retiredOn);
    const not = new Set(dismissed.map((d) => d.taskKey));
    const tasks: TaskDto[] = [
      ...troubles.flatMap((t) => lookAgain(book, t, live(t.plantId))),
      ...stored.flatMap((t) => remedyTask(book, t, live(t.plantId))),
      ...protectTasks(book, this.insights),
      ...this.waterings(book, new Set(stored.filter(isWatering).map((t) => t.plantId))),
    ];
    const later = new Map(stored.map((t) => [t.id, t.laterUntil]));
    const due = tasks.filter((t) => t.dueOn <= book.today && !not.has(t.key) && (later.get(t.key) ?? '') <= book.today);
    const rank = { protect: 0, 'look-again': 1, water: 2, remedy: 3 };
    return { due: due.sort((a, b) => rank[a.kind] - rank[b.kind] || (a.dueOn < b.dueOn ? -1 : 1)), all: tasks };
  }

  /** Pots one by one, beds as a whole. A plant that has a watering task of its own is left to it. */
  private waterings(book: GardenBook, spoken: ReadonlySet<string>): TaskDto[] {
    return book.places
      .filter((p) => !p.retiredOn)
      .flatMap((place): TaskDto[] => {
        const plants = book.plants.filter((p) => p.placeId === place.id && !p.retiredOn);
        const needs = plants.flatMap((plant) => {
          const report = this.insights.of(book, plant).report;
          const next = report.water.nextWatering;
          const held = report.remedies.some((r) => r.remedy === 'water-less');
          return next && !held && !spoken.has(plant.id) ? [{ plant, next }] : [];
        });
        if (needs.length === 0) return [];
        const base = { kind: 'water' as const, remedy: null, cautions: [] as string[] };
        if (place.kind === 'container')
          return needs.map(({ plant, next }) => ({
            ...base,
            key: `water:${plant.id}`,
            plantId: plant.id,
            placeId: null,
            title: `Water ${plant.name}`,
            where: place.name,
            why: next.why,
            dueOn: next.date,
            dose: { litres: next.litres },
          }));
        const first = needs.reduce((a, b) => (b.next.date < a.next.date ? b : a));
        const litres = one(needs.reduce((sum, n) => sum + n.next.litres, 0) / needs.length);
        return [
          {
            ...base,
            key: `water:${place.id}`,
            plantId: null,
            placeId: place.id,
            title: `Water ${place.name}`,
            where: `${plants.length} plants`,
            why: first.next.why,
            dueOn: first.next.date,
            dose: { litres },
          },
        ];
      });
  }

  /** Ticks a task; sending it twice does it once. Returns the id of the record that it wrote, if any. */
  async done(gardenId: string, accountId: string, key: string, recordId: string): Promise<{ recordId: string | null }> {
    const book = await this.books.open(gardenId);
    if (key.startsWith('water:')) {
      if (book.records.some((r) => r.id === recordId)) return { recordId };
      const task = (await this.open(book)).all.find((t) => t.key === key);
      if (!task) throw gone('task');
      await this.gardens.change(gardenId, (m) => this.water(m, book, accountId, recordId, task));
      return { recordId };
    }
    if (isProtectKey(key)) {
      await this.dismiss(gardenId, key, FOR_GOOD);
      return { recordId: null };
    }
    return this.gardens.change(gardenId, async (m) => {
      const task = await m.findOne(TaskEntity, { where: { id: key, gardenId }, lock: { mode: 'pessimistic_write' } });
      if (!task) throw gone('task');
      const wet = isWatering(task);
      if (task.doneOn !== null || task.dueOn > book.today) return { recordId: wet ? recordId : null };
      if (wet)
        await this.water(m, book, accountId, recordId, { plantId: task.plantId, placeId: null, dose: task.dose });
      const next = task.everyDays ? addDays(book.today, task.everyDays) : null;
      if (next && next <= task.lastOn) task.dueOn = next;
      else task.doneOn = book.today;
      task.laterUntil = null;
      await m.save(task);
      return { recordId: wet ? recordId : null };
    });
  }

  /** Takes a tick back within the page's ten seconds: the task is due again today and its record is gone. */
  async undo(gardenId: string, key: string, recordId: string | null): Promise<void> {
    const book = await this.books.open(gardenId);
    await this.gardens.change(gardenId, async (m) => {
      if (!key.startsWith('water:') && !isProtectKey(key)) {
        const changed = await m.update(
          TaskEntity,
          { id: key, gardenId },
          { doneOn: null, laterUntil: null, dueOn: book.today },
        );
        if (changed.affected === 0) throw gone('task');
      } else await m.delete(DismissalEntity, { gardenId, taskKey: key, day: In([book.today, FOR_GOOD]) });
    });
    if (recordId && book.records.some((r) => r.id === recordId))
      await this.records.setDeleted(gardenId, recordId, true);
  }

  async notToday(gardenId: string, key: string): Promise<void> {
    const { today } = await this.books.open(gardenId);
    if (/^(water|look|heat|frost):/.test(key)) return this.dismiss(gardenId, key, today);
    await this.gardens.change(gardenId, async (m) => {
      const changed = await m.update(TaskEntity, { id: key, gardenId }, { laterUntil: addDays(today, 1) });
      if (changed.affected === 0) throw gone('task');
    });
  }

  private dismiss(gardenId: string, taskKey: string, day: string): Promise<void> {
    return this.gardens.change(gardenId, async (m) => {
      await m.upsert(DismissalEntity, { gardenId, taskKey, day }, ['gardenId', 'taskKey', 'day']);
    });
  }

  private async water(
    m: EntityManager,
    book: GardenBook,
    accountId: string,
    id: string,
    t: Pick<TaskDto, 'plantId' | 'placeId' | 'dose'>,
  ): Promise<void> {
    await this.records.write(m, book.garden.id, accountId, book.today, {
      id,
      type: 'watering',
      plantId: t.plantId,
      placeId: t.placeId,
      data: { date: book.today, litres: t.dose!.litres!, how: 'base' },
    });
  }
}

function lookAgain(book: GardenBook, t: TroubleEntity, plant: PlantEntity | undefined): TaskDto[] {
  if (!plant) return [];
  const row = disorderRow(t.disorder);
  return [
    {
      key: `look:${t.id}`,
      kind: 'look-again',
      plantId: plant.id,
      placeId: null,
      title: `Look again: ${plant.name}`,
      where: book.places.find((p) => p.id === plant.placeId)?.name ?? '',
      why: `${row.label}: it worked if ${t.successIs}`,
      dueOn: t.followUpOn,
      remedy: null,
      dose: null,
      cautions: [],
    },
  ];
}

function remedyTask(book: GardenBook, t: TaskEntity, plant: PlantEntity | undefined): TaskDto[] {
  if (!plant) return [];
  return [
    {
      key: t.id,
      kind: 'remedy',
      plantId: plant.id,
      placeId: null,
      title: remedyRow(t.remedy).label,
      where: `${plant.name}, ${book.places.find((p) => p.id === plant.placeId)?.name ?? ''}`,
      why: t.why,
      dueOn: t.dueOn,
      remedy: t.remedy,
      dose: t.dose,
      cautions: t.cautions,
    },
  ];
}
