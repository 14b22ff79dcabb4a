import { InjectDataSource } from '@nestjs/typeorm';
import { Injectable } from '@nestjs/common';
import type { GardenDto, GardenInput, MyGarden } from '@candid-leaf/contract';
import type { Fault } from '@candid-leaf/core/records';
import { daysBetween } from '@candid-leaf/core/units';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { Clock, dayIn } from '../shared/clock.js';
import { noteRevision } from '../shared/garden-revision.js';
import { notFound, throwIfFaults, versionConflict } from '../shared/http-errors.js';
import { sameContent } from '../shared/rows.js';
import { inTransaction } from '../shared/transactions.js';
import { GardenEntity } from './garden.entity.js';
import { mustReach } from './garden.guard.js';
import { gardenFaults } from './garden-faults.js';
import { MembershipEntity } from './membership.entity.js';

/** Most days a pinned day may be from today. */
const MOST_DAYS_AWAY = 731;

/** Reads and changes gardens. Every write to a garden runs inside `change`. */
@Injectable()
export class GardensService {
  private readonly followers: ((garden: GardenDto, moved: boolean) => Promise<void>)[] = [];

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Returns the garden's calendar day: pinned, or today in its time zone. */
  today(garden: Pick<GardenEntity, 'pinnedDate' | 'timeZone'>): string {
    return garden.pinnedDate ?? dayIn(garden.timeZone, this.clock.now());
  }

  dto(g: GardenEntity): GardenDto {
    const { revision: _r, weatherRevision: _v, weatherPulledAt: _w, weatherTrouble: _t, climate: _c, ...rest } = g;
    return { ...rest, today: this.today(g) };
  }

  async get(gardenId: string, m: EntityManager = this.db.manager): Promise<GardenEntity> {
    const garden = await m.findOneBy(GardenEntity, { id: gardenId });
    if (!garden) throw notFound('garden');
    return garden;
  }

  async listFor(accountId: string): Promise<MyGarden[]> {
    const memberships = await this.db.manager.findBy(MembershipEntity, { accountId });
    const roles = new Map(memberships.map((m) => [m.gardenId, m.role]));
    const mine = await this.db.manager
      .createQueryBuilder(GardenEntity, 'g')
      .where({ id: In([...roles.keys()]) })
      .orderBy('g.createdAt')
      .getMany();
    return mine.map((g) => ({ ...this.dto(g), role: roles.get(g.id) ?? 'look' }));
  }

  /** Registers a follower of created or changed gardens (the weather); `moved`: its place or its weather service is another. */
  onSaved(follow: (garden: GardenDto, moved: boolean) => Promise<void>): void {
    this.followers.push(follow);
  }

  /** Creates or changes a garden; repeating it changes nothing. Followers learn whether its weather is another one now. */
  async put(accountId: string, input: GardenInput): Promise<GardenDto> {
    const { garden, moved } = await this.save(accountId, input);
    for (const follow of this.followers) await follow(garden, moved);
    return garden;
  }

  private save(accountId: string, input: GardenInput): Promise<{ garden: GardenDto; moved: boolean }> {
    return inTransaction(this.db, async (m) => {
      // the climate comes from the weather service
      const { version, climate: _c, ...rest } = input;
      const content = {
        ...rest,
        lastFrost: rest.lastFrost ?? null,
        firstFrost: rest.firstFrost ?? null,
        pinnedDate: rest.pinnedDate ?? null,
        away: rest.away ?? null,
        organicOnly: rest.organicOnly ?? null,
        shareCounts: rest.shareCounts ?? null,
        starter: rest.starter ?? null,
        pepperFeed: rest.pepperFeed ?? null,
        stock: rest.stock ?? null,
        seasonMode: rest.seasonMode ?? null,
        weatherService: rest.weatherService ?? null,
      };
      throwIfFaults(gardenFaults(content));
      const old = await m.findOne(GardenEntity, { where: { id: input.id }, lock: { mode: 'pessimistic_write' } });
      if (content.pinnedDate !== (old?.pinnedDate ?? null))
        throwIfFaults(this.pinFaults(content.pinnedDate, rest.timeZone));
      if (!old) {
        if (version != null) throw notFound('garden');
        const garden = m.create(GardenEntity, {
          ...content,
          version: 1,
          revision: '1',
          weatherRevision: '1',
          weatherPulledAt: null,
          weatherTrouble: null,
          climate: null,
        });
        await m.insert(GardenEntity, garden);
        await m.insert(MembershipEntity, { accountId, gardenId: input.id, role: 'keep', since: this.clock.now() });
        return { garden: this.dto(garden), moved: false };
      }
      // its id is in the body, where the guard does not look
      const membership = await m.findOneBy(MembershipEntity, { accountId, gardenId: input.id });
      if (!membership) throw notFound('garden');
      mustReach(membership.role, 'keep');
      const same = Object.entries(content).every(([k, v]) => sameContent(v, old[k as keyof GardenEntity]));
      if (same) return { garden: this.dto(old), moved: false };
      if (version !== old.version) throw versionConflict();
      const moved = (['latitude', 'longitude', 'elevationM', 'weatherService'] as const).some(
        (k) => old[k] !== content[k],
      );
      Object.assign(old, content, { version: old.version + 1, revision: String(BigInt(old.revision) + 1n) });
      await m.save(old);
      return { garden: this.dto(old), moved };
    });
  }

  /** The computation reaches up to the garden's day, so that day is limited to a useful distance from today. */
  private pinFaults(pinned: string | null, timeZone: string): Fault[] {
    if (pinned === null) return [];
    const away = Math.abs(daysBetween(dayIn(timeZone, this.clock.now()), pinned));
    return away > MOST_DAYS_AWAY ? [{ path: 'pinnedDate', reason: 'must be within two years of today' }] : [];
  }

  /**
   * Runs writes of one garden in a transaction and marks cached results as stale. The garden's row is locked first,
   * so writes of one garden run in turn and can't deadlock; different gardens do not wait for each other.
   */
  async change<T>(gardenId: string, work: (m: EntityManager, garden: GardenEntity) => Promise<T>): Promise<T> {
    return inTransaction(this.db, async (m) => {
      await m.increment(GardenEntity, { id: gardenId }, 'revision', 1);
      const garden = await this.get(gardenId, m);
      noteRevision(m, garden.revision);
      return work(m, garden);
    });
  }
}
