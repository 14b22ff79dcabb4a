import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { NewLink, WateringListDto, WateringListInput, WateringListView } from '@candid-leaf/contract';
import type { Watering } from '@candid-leaf/core/records';
import { addDays, daysBetween } from '@candid-leaf/core/units';
import { IsNull, MoreThanOrEqual, type DataSource } from 'typeorm';
import { livePlaces, Snapshots, type GardenSnapshot } from '../assessment/snapshots.service.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { badRequest, notFound } from '../shared/http-errors.js';
import { hashOf, newSecret } from '../shared/secrets.js';
import { TodayService } from '../today/today.service.js';
import { USUAL_CHECK } from '../water/watering.source.js';
import { PlanService } from '../water/plan.service.js';
import { WateringListEntity } from './watering-list.entity.js';

/** Longest absence, days. */
const MOST_DAYS = 92;
/** Only waterings of Today can be ticked here. */
const WATER = 'water:';

/** The watering list for an absence. It shows the one plan, and a tick on it is a tick in Today. */
@Injectable()
export class WateringListService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly snapshots: Snapshots,
    private readonly today: TodayService,
    private readonly plans: PlanService,
  ) {}

  async list(gardenId: string): Promise<WateringListDto[]> {
    const today = this.gardens.today(await this.gardens.get(gardenId));
    const lists = await this.db.manager.find(WateringListEntity, {
      where: { gardenId, revokedAt: IsNull(), toDay: MoreThanOrEqual(today) },
      order: { fromDay: 'ASC' },
    });
    return lists.map((l) => ({ id: l.id, name: l.name, from: l.fromDay, to: l.toDay }));
  }

  /** Creates a list with its link. Sent again it is the same list with a new link; the old one stops working. */
  async make(gardenId: string, madeBy: string, input: WateringListInput): Promise<NewLink> {
    if (input.to < input.from) throw badRequest([{ path: 'to', reason: 'must not be before the first day' }]);
    if (daysBetween(input.from, input.to) >= MOST_DAYS)
      throw badRequest([{ path: 'to', reason: `must be within ${MOST_DAYS} days of the first day` }]);
    const today = this.gardens.today(await this.gardens.get(gardenId));
    if (input.to < today) throw badRequest([{ path: 'to', reason: 'must not be over already' }]);
    const old = await this.db.manager.findOneBy(WateringListEntity, { id: input.id });
    if (old && old.gardenId !== gardenId) throw notFound('list');
    const secret = newSecret();
    await this.db.manager.save(WateringListEntity, {
      id: input.id,
      gardenId,
      madeBy,
      name: input.name,
      fromDay: input.from,
      toDay: input.to,
      secretHash: hashOf(secret),
      revokedAt: null,
    });
    return { id: input.id, path: `/watering#${secret}`, expiresAt: `${addDays(input.to, 1)}T00:00:00.000Z` };
  }

  async revoke(gardenId: string, id: string): Promise<void> {
    const { affected } = await this.db.manager.update(
      WateringListEntity,
      { id, gardenId, revokedAt: IsNull() },
      { revokedAt: new Date() },
    );
    if (!affected) throw notFound('list');
  }

  /** Returns the list of a secret; unknown, removed or expired: none. */
  async opened(secret: string): Promise<WateringListEntity> {
    const found = await this.db.manager.findOneBy(WateringListEntity, {
      secretHash: hashOf(secret),
      revokedAt: IsNull(),
    });
    if (!found) throw notFound('list');
    const today = this.gardens.today(await this.gardens.get(found.gardenId));
    if (today > found.toDay) throw notFound('list');
    return found;
  }

  async view(gardenId: string, listId: string): Promise<WateringListView> {
    const list = await this.db.manager.findOneByOrFail(WateringListEntity, { id: listId, gardenId });
    const s = await this.snapshots.load(gardenId);
    const begun = s.today >= list.fromDay;
    const { due, all } = await this.today.list(s);
    const plans = await this.plans.all(s);
    const names = new Map(livePlaces(s).map((p) => [p.id, p.name]));
    const { garden } = s;
    return {
      garden: { name: garden.name, units: garden.units, dateForm: garden.dateForm, today: s.today },
      name: list.name,
      from: list.fromDay,
      to: list.toDay,
      tasks: begun
        ? due
            .filter((t) => t.key.startsWith(WATER) && !t.key.startsWith(WATER + USUAL_CHECK))
            .map(({ key, title, where, why, litres, feel }) => ({
              key,
              title,
              where,
              why,
              litres,
              ...(feel ? { feel } : {}),
            }))
        : [],
      // shown before the first day too: it concerns anyone who comes near
      notices: all.flatMap((t) => (t.source === 'spray' && t.held ? [`${t.title}: ${t.held.because}`] : [])),
      done: begun ? await this.doneToday(s, listId) : [],
      places: plans
        .filter((p) => p.pours.length > 0)
        .map((p) => ({
          id: p.placeId,
          name: names.get(p.placeId) ?? '',
          together: p.together,
          pours: p.pours.map(({ id, plants, known, plan }) => ({ id, plants, known, plan })),
        })),
    };
  }

  private async doneToday(s: GardenSnapshot, listId: string): Promise<WateringListView['done']> {
    const m = this.db.manager;
    const records = await m.find(RecordEntity, {
      where: { gardenId: s.garden.id, createdBy: listId, day: s.today, type: 'watering', deletedAt: IsNull() },
      order: { id: 'ASC' },
    });
    return Promise.all(
      records.map(async (r) => ({
        id: r.id,
        name:
          (r.plantId
            ? await m.findOneBy(PlantEntity, { id: r.plantId })
            : await m.findOneBy(PlaceEntity, { id: r.placeId ?? '' })
          )?.name ?? '',
        litres: (r.data as Watering).litres ?? null,
      })),
    );
  }

  /** Ticks one of today's waterings during the list's days. Sent twice it waters once. */
  async tick(gardenId: string, listId: string, key: string, recordId: string): Promise<{ recordId: string | null }> {
    await this.mayTick(gardenId, listId, key);
    return this.today.done(gardenId, key, { accountId: listId, recordId });
  }

  /** Undoes a tick of this list. Other records stay. */
  async undo(gardenId: string, listId: string, key: string, recordId: string): Promise<void> {
    await this.mayTick(gardenId, listId, key);
    const own = await this.db.manager.existsBy(RecordEntity, { id: recordId, gardenId, createdBy: listId });
    if (!own) throw notFound('record');
    await this.today.undo(gardenId, key, recordId);
  }

  private async mayTick(gardenId: string, listId: string, key: string): Promise<void> {
    if (!key.startsWith(WATER)) throw notFound('task');
    const list = await this.db.manager.findOneByOrFail(WateringListEntity, { id: listId, gardenId });
    const today = this.gardens.today(await this.gardens.get(gardenId));
    if (today < list.fromDay || today > list.toDay) throw notFound('task');
  }
}
