import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { GardenDto, GardenInput } from '@candid-leaf/contract';
import type { DataSource, EntityManager } from 'typeorm';
import { Clock, dayIn } from '../shared/clock.js';
import { notFound, versionConflict } from '../shared/http-errors.js';
import { GardenEntity } from './garden.entity.js';
import { MembershipEntity } from './membership.entity.js';

@Injectable()
export class GardensService {
  private readonly followers: ((garden: GardenDto, moved: boolean) => Promise<void>)[] = [];

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly clock: Clock,
  ) {}

  /** The garden's calendar day: pinned, or today in its own time zone. */
  today(garden: Pick<GardenEntity, 'pinnedDate' | 'timeZone'>): string {
    return garden.pinnedDate ?? dayIn(garden.timeZone, this.clock.now());
  }

  dto(g: GardenEntity): GardenDto {
    const { revision: _r, weatherPulledAt: _w, weatherTrouble: _t, ...rest } = g;
    return { ...rest, today: this.today(g) };
  }

  async get(gardenId: string, m: EntityManager = this.db.manager): Promise<GardenEntity> {
    const garden = await m.findOneBy(GardenEntity, { id: gardenId });
    if (!garden) throw notFound('garden');
    return garden;
  }

  async listFor(accountId: string): Promise<GardenDto[]> {
    const mine = await this.db.manager
      .createQueryBuilder(GardenEntity, 'g')
      .innerJoin(MembershipEntity, 'm', 'm.gardenId = g.id')
      .where('m.accountId = :accountId', { accountId })
      .orderBy('g.createdAt')
      .getMany();
    return mine.map((g) => this.dto(g));
  }

  /** Whoever must follow a garden that was made or changed (the weather does) says so here. */
  onSaved(follow: (garden: GardenDto, moved: boolean) => Promise<void>): void {
    this.followers.push(follow);
  }

  /** Creates or changes; sending the same again changes nothing. Those who follow are told whether it was moved on the map. */
  async put(accountId: string, input: GardenInput): Promise<GardenDto> {
    const { garden, moved } = await this.save(accountId, input);
    for (const follow of this.followers) await follow(garden, moved);
    return garden;
  }

  private save(accountId: string, input: GardenInput): Promise<{ garden: GardenDto; moved: boolean }> {
    return this.db.transaction(async (m) => {
      const { version, ...rest } = input;
      const content = {
        ...rest,
        lastFrost: rest.lastFrost ?? null,
        firstFrost: rest.firstFrost ?? null,
        pinnedDate: rest.pinnedDate ?? null,
      };
      const old = await m.findOne(GardenEntity, { where: { id: input.id }, lock: { mode: 'pessimistic_write' } });
      if (!old) {
        if (version != null) throw notFound('garden');
        const garden = m.create(GardenEntity, {
          ...content,
          version: 1,
          revision: '1',
          weatherPulledAt: null,
          weatherTrouble: null,
        });
        await m.insert(GardenEntity, garden);
        await m.insert(MembershipEntity, { accountId, gardenId: input.id });
        return { garden: this.dto(garden), moved: false };
      }
      if (!(await m.existsBy(MembershipEntity, { accountId, gardenId: input.id }))) throw notFound('garden');
      const same = Object.entries(content).every(
        ([k, v]) => JSON.stringify(v) === JSON.stringify(old[k as keyof GardenEntity]),
      );
      if (same) return { garden: this.dto(old), moved: false };
      if (version !== old.version) throw versionConflict();
      const moved = (['latitude', 'longitude', 'elevationM'] as const).some((k) => old[k] !== input[k]);
      Object.assign(old, content, { version: old.version + 1, revision: String(Number(old.revision) + 1) });
      await m.save(old);
      return { garden: this.dto(old), moved };
    });
  }

  /**
   * Runs writes of one garden in a transaction and marks what was worked out before as stale. The garden's row is
   * locked first: writes of one garden go one after the other and can never lock each other out; those of
   * different gardens do not wait for each other.
   */
  async change<T>(gardenId: string, work: (m: EntityManager) => Promise<T>): Promise<T> {
    return this.db.transaction('READ COMMITTED', async (m) => {
      await m.increment(GardenEntity, { id: gardenId }, 'revision', 1);
      return work(m);
    });
  }
}
