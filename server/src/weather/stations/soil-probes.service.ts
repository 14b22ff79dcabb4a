import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { Cron, CronExpression } from '@nestjs/schedule';
import type { SoilProbeDto, SoilProbeInput, SoilProbePoint } from '@candid-leaf/contract';
import { checked, SoilCheck, SoilWarmth } from '@candid-leaf/core/records';
import { addDays, type Day, roundTo, wallClock } from '@candid-leaf/core/units';
import { feelOf, probeAgainstFingers, probeShare } from '@candid-leaf/core/water';
import { type DataSource, In, IsNull, MoreThanOrEqual, Not } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { GardensService } from '../../gardens/gardens.service.js';
import { PlaceEntity } from '../../places/place.entity.js';
import { PlantEntity } from '../../plants/plant.entity.js';
import { RecordEntity } from '../../records/record.entity.js';
import { inBackground } from '../../shared/background.js';
import { Clock } from '../../shared/clock.js';
import { revisionOf } from '../../shared/garden-revision.js';
import { badRequest, notFound } from '../../shared/http-errors.js';
import { SoilChannelEntity } from './station.entities.js';

/** Readings are taken in the morning, before water and sun: from this hour on. */
const MORNING_H = 5;
/** A probe that was not heard for longer says nothing about this morning, ms. */
const FRESH_MS = 3 * 3_600_000;
/** Depth of a probe that nobody stated, cm (judgement: most are this long). */
const USUAL_DEPTH_CM = 10;
/** Days in which fingers are compared with it. */
const COMPARED_DAYS = 60;

/** Soil probes of the gardens' own stations: where they stand, their two points, and one record each morning. */
@Injectable()
export class SoilProbes {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly clock: Clock,
  ) {}

  async list(gardenId: string): Promise<SoilProbeDto[]> {
    const channels = await this.db.manager.find(SoilChannelEntity, { where: { gardenId }, order: { channel: 'ASC' } });
    const garden = await this.gardens.get(gardenId);
    const today = this.gardens.today(garden);
    return Promise.all(
      channels.map(async (c) => ({
        channel: c.channel,
        heardAt: c.heardAt.toISOString(),
        raw: c.lastRaw,
        placeId: c.placeId,
        depthCm: c.depthCm,
        dryRaw: c.dryRaw,
        drainedRaw: c.drainedRaw,
        calibratedOn: c.calibratedOn,
        share: shareOf(c),
        against: c.placeId ? probeAgainstFingers(await this.checksOf(gardenId, c.placeId, today), today) : null,
      })),
    );
  }

  /** Puts a probe into a bed or pot; in another one its points count no more. */
  async place(gardenId: string, accountId: string, channel: string, input: SoilProbeInput): Promise<void> {
    const known = await this.get(gardenId, channel);
    const placeId = input.placeId ?? null;
    if (placeId !== null) {
      const there = await this.db.manager.existsBy(PlaceEntity, { id: placeId, gardenId, deletedAt: IsNull() });
      if (!there) throw badRequest([{ path: 'placeId', reason: 'is no bed or pot of this garden' }]);
    }
    const moved = placeId !== known.placeId ? { dryRaw: null, drainedRaw: null, calibratedOn: null } : {};
    await this.db.manager.update(
      SoilChannelEntity,
      { gardenId, channel },
      { placeId, depthCm: input.depthCm ?? null, madeBy: accountId, ...moved },
    );
  }

  /** Notes what it reads now as one of its two points. */
  async point(gardenId: string, channel: string, { as }: SoilProbePoint): Promise<void> {
    const known = await this.get(gardenId, channel);
    const garden = await this.gardens.get(gardenId);
    const other = as === 'dry' ? known.drainedRaw : known.dryRaw;
    if (other === known.lastRaw)
      throw badRequest([
        { path: 'as', reason: 'reads the same as the other point: calibrate it when the soil has changed' },
      ]);
    await this.db.manager.update(
      SoilChannelEntity,
      { gardenId, channel },
      { [as === 'dry' ? 'dryRaw' : 'drainedRaw']: known.lastRaw, calibratedOn: this.gardens.today(garden) },
    );
  }

  @Cron(CronExpression.EVERY_HOUR)
  async noteAll(): Promise<void> {
    await inBackground('readings of soil probes', async () => {
      const channels = await this.db.manager.find(SoilChannelEntity, { where: { placeId: Not(IsNull()) } });
      for (const gardenId of new Set(channels.map((c) => c.gardenId)))
        await inBackground(`soil probes of garden ${gardenId}`, () => this.note(gardenId));
    });
  }

  /** Records this morning's readings, once a day. A paused garden has no morning. */
  async note(gardenId: string): Promise<void> {
    const garden = await this.gardens.get(gardenId);
    const now = this.clock.now().getTime();
    if (garden.pinnedDate !== null || Number(wallClock(garden.timeZone, now).slice(11, 13)) < MORNING_H) return;
    const today = this.gardens.today(garden);
    await this.gardens.change(gardenId, async (m) => {
      const channels = await m.find(SoilChannelEntity, {
        where: { gardenId, placeId: Not(IsNull()), heardAt: MoreThanOrEqual(new Date(now - FRESH_MS)) },
        lock: { mode: 'pessimistic_write' },
      });
      for (const c of channels.filter((x) => x.notedOn !== today)) {
        const record = recordOf(c, today);
        if (!record || !(await m.existsBy(PlaceEntity, { id: c.placeId!, gardenId, deletedAt: IsNull() }))) continue;
        await m.insert(RecordEntity, {
          id: uuid(),
          gardenId,
          version: 1,
          revision: revisionOf(m),
          deletedAt: null,
          plantId: null,
          placeId: c.placeId,
          day: today,
          createdBy: c.madeBy!,
          ...record,
        });
        await m.update(SoilChannelEntity, { gardenId, channel: c.channel }, { notedOn: today });
      }
    });
  }

  private async get(gardenId: string, channel: string): Promise<SoilChannelEntity> {
    const known = await this.db.manager.findOneBy(SoilChannelEntity, { gardenId, channel });
    if (!known) throw notFound('probe');
    return known;
  }

  /** Soil checks of a bed or pot and of its plants. */
  private async checksOf(gardenId: string, placeId: string, today: Day): Promise<SoilCheck[]> {
    const plants = await this.db.manager.find(PlantEntity, { select: { id: true }, where: { gardenId, placeId } });
    const of = {
      gardenId,
      type: 'soil-check' as const,
      deletedAt: IsNull(),
      day: MoreThanOrEqual(addDays(today, -COMPARED_DAYS)),
    };
    const records = await this.db.manager.find(RecordEntity, {
      where: [
        { ...of, placeId },
        { ...of, plantId: In(plants.map((p) => p.id)) },
      ],
    });
    return records.map((r) => r.data as SoilCheck);
  }
}

const shareOf = (c: SoilChannelEntity): number | null =>
  c.channel.startsWith('moisture') && c.dryRaw !== null && c.drainedRaw !== null
    ? probeShare(c.lastRaw, { dry: c.dryRaw, drained: c.drainedRaw })
    : null;

/** Returns what a channel says this morning: a soil check, or the warmth of the soil. */
function recordOf(c: SoilChannelEntity, today: Day): Pick<RecordEntity, 'type' | 'data'> | null {
  if (c.channel.startsWith('warmth')) {
    const celsius = roundTo(c.lastRaw, 1);
    return celsius >= -10 && celsius <= 45
      ? { type: 'soil-warmth', data: checked(SoilWarmth, { date: today, celsius }) }
      : null;
  }
  const share = shareOf(c);
  if (share === null) return null;
  const data = {
    date: today,
    feel: feelOf(share),
    by: 'probe',
    depthCm: c.depthCm ?? USUAL_DEPTH_CM,
    share: roundTo(share, 2),
    calibratedOn: c.calibratedOn,
  };
  return { type: 'soil-check', data: checked(SoilCheck, data) };
}
