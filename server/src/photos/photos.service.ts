import { ConflictException, HttpException, Inject, Injectable } from '@nestjs/common';
import { Cron, CronExpression } from '@nestjs/schedule';
import { InjectDataSource } from '@nestjs/typeorm';
import type { PhotoDto, PhotoOf, PhotosWanted } from '@candid-leaf/contract';
import type { Request, Response } from 'express';
import { In, IsNull, LessThan, type DataSource, type EntityManager } from 'typeorm';
import { CONFIG, type Config } from '../config.js';
import { GardensService } from '../gardens/gardens.service.js';
import { LeavingService } from '../people/leaving.service.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { inBackground } from '../shared/background.js';
import { Clock } from '../shared/clock.js';
import { badRequest, notFound, throwIfFaults, unavailable } from '../shared/http-errors.js';
import { updateRows } from '../shared/rows.js';
import { revisionOf } from '../shared/garden-revision.js';
import { PhotoEntity } from './photo.entity.js';
import { PhotoFiles, type Size } from './photo-files.js';
import { PhotoParts, type Arriving } from './photo-parts.js';
import { asKept } from './pictures.js';

/** How long a deleted photo can be restored, ms. */
const KEPT_AFTER_MS = 30 * 24 * 3600 * 1000;
const MOST_LISTED = 400;
/** A file this old without a row belongs to nothing, ms. */
const SETTLED_MS = 3600 * 1000;

const dto = ({ id, plantId, placeId, sign, day, width, height, bytes, createdBy }: PhotoEntity): PhotoDto => ({
  id,
  plantId,
  placeId,
  sign,
  day,
  width,
  height,
  bytes,
  by: createdBy,
});

/** Photos of plants and beds: rows in the database, pictures in files. */
@Injectable()
export class PhotosService {
  private readonly files: PhotoFiles | null;
  private readonly arriving: PhotoParts | null;

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    @Inject(CONFIG) private readonly config: Config,
    private readonly gardens: GardensService,
    private readonly clock: Clock,
    leaving: LeavingService,
  ) {
    this.files = config.photos === null ? null : new PhotoFiles(config.photos);
    this.arriving = config.photos === null ? null : new PhotoParts(config.photos);
    leaving.onGone(async (gardenId) => this.files?.removeGarden(gardenId));
  }

  private get kept(): PhotoFiles {
    return this.files ?? this.storesNone();
  }
  private get parts(): PhotoParts {
    return this.arriving ?? this.storesNone();
  }
  private storesNone(): never {
    throw unavailable('This server does not store photos. Ask the person who runs it.');
  }

  /** Newest first. */
  async list(gardenId: string, wanted: PhotosWanted): Promise<PhotoDto[]> {
    const rows = await this.db.manager.find(PhotoEntity, {
      where: { gardenId, deletedAt: IsNull(), ...wanted },
      order: { day: 'DESC', id: 'DESC' },
      take: MOST_LISTED,
    });
    return rows.map(dto);
  }

  /** Stores a photo. Sent twice it is stored once; a picture never replaces another. */
  async put(gardenId: string, accountId: string, id: string, of: PhotoOf, data: Buffer): Promise<PhotoDto> {
    const files = this.kept;
    const there = await this.db.manager.findOneBy(PhotoEntity, { id });
    if (there) return this.again(there, gardenId);
    await this.db.transaction(async (m) => this.check(m, gardenId, of));
    const kept = await asKept(data);
    await files.write(gardenId, id, 'small', kept.small);
    await files.write(gardenId, id, 'whole', kept.whole);
    const stored = this.gardens.change(gardenId, async (m) => {
      const meanwhile = await m.findOneBy(PhotoEntity, { id });
      if (meanwhile) return this.again(meanwhile, gardenId);
      await this.check(m, gardenId, of, kept.whole.length);
      const { width, height } = kept;
      const row = m.create(PhotoEntity, {
        id,
        gardenId,
        version: 1,
        revision: revisionOf(m),
        deletedAt: null,
        plantId: of.plantId ?? null,
        placeId: of.placeId ?? null,
        sign: of.sign ?? null,
        day: of.day,
        width,
        height,
        bytes: kept.whole.length,
        createdBy: accountId,
      });
      await m.insert(PhotoEntity, row);
      return dto(row);
    });
    return stored.catch(async (error: unknown) => {
      // refused after all, as by the quota: no file stays without its row
      if (!(await this.db.manager.existsBy(PhotoEntity, { id }))) await files.remove(gardenId, id);
      throw error;
    });
  }

  /** One step of an upload in parts. */
  async takePart(arriving: Arriving, request: Request, response: Response): Promise<void> {
    const there = await this.db.manager.findOneBy(PhotoEntity, { id: arriving.photoId });
    if (there && there.gardenId !== arriving.gardenId) throw notFound('photo');
    await this.parts.take(arriving, request, response);
  }

  /** Stores a photo whose parts have arrived. Sent twice it is stored once. */
  async putArrived(arriving: Arriving, of: PhotoOf): Promise<PhotoDto> {
    const { gardenId, accountId, photoId } = arriving;
    const there = await this.db.manager.findOneBy(PhotoEntity, { id: photoId });
    const data = there ? null : await this.parts.whole(arriving);
    if (!there && !data)
      throw unavailable('Parts of this photo are missing. Send it again; what has arrived is kept for a day.');
    const stored = there ? this.again(there, gardenId) : await this.put(gardenId, accountId, photoId, of, data!);
    await this.parts.forget(arriving);
    return stored;
  }

  /**
   * Restores a picture from a garden file for an existing row. One already in stored form stays byte for byte; any
   * other is redrawn.
   */
  async putBack(m: EntityManager, gardenId: string, id: string, data: Buffer): Promise<void> {
    const kept = await asKept(data, true);
    await this.mustHaveRoom(m, gardenId, kept.whole.length);
    await this.kept.write(gardenId, id, 'small', kept.small);
    await this.kept.write(gardenId, id, 'whole', kept.whole);
    const { width, height } = kept;
    await m.update(PhotoEntity, { id, gardenId }, { width, height, bytes: kept.whole.length });
  }

  /** Removes pictures without rows from the disk. */
  async forget(gardenId: string, ids: readonly string[]): Promise<void> {
    for (const id of ids) await this.files?.remove(gardenId, id);
  }

  private again(there: PhotoEntity, gardenId: string): PhotoDto {
    if (there.gardenId !== gardenId) throw notFound('photo');
    if (there.deletedAt) throw new ConflictException('This photo was deleted in the meantime.');
    return dto(there);
  }

  private async check(m: EntityManager, gardenId: string, of: PhotoOf, bytes = 1): Promise<void> {
    const { plantId, placeId, day } = of;
    if ((plantId === undefined) === (placeId === undefined))
      throw badRequest([
        { path: 'plantId', reason: 'a photo belongs to one plant or to one bed or pot: give exactly one' },
      ]);
    if (plantId && !(await m.existsBy(PlantEntity, { id: plantId, gardenId }))) throw notFound('plant');
    if (placeId && !(await m.existsBy(PlaceEntity, { id: placeId, gardenId }))) throw notFound('place');
    const today = this.gardens.today(await this.gardens.get(gardenId, m));
    throwIfFaults(
      day > today ? [{ path: 'day', reason: `${day} is in the future (today is ${today} in this garden)` }] : [],
    );
    await this.mustHaveRoom(m, gardenId, bytes);
  }

  /** Refuses what would be more than the quota of a garden. */
  private async mustHaveRoom(m: EntityManager, gardenId: string, bytes: number): Promise<void> {
    const used = await m
      .createQueryBuilder(PhotoEntity, 'p')
      .select('COALESCE(SUM(p.bytes), 0)', 'bytes')
      .where('p.gardenId = :gardenId', { gardenId })
      .getRawOne<{ bytes: string }>();
    const most = this.config.photoMb;
    if (Number(used?.bytes ?? 0) + bytes > most * 1_000_000)
      throw new HttpException(
        {
          message: `The photos of this garden use all ${most} MB. Delete some, or ask the person who runs this server.`,
        },
        413,
      );
  }

  /** Returns the picture. A missing file is reported without affecting anything else. */
  async picture(gardenId: string, id: string, size: Size): Promise<Buffer> {
    const row = await this.db.manager.findOneBy(PhotoEntity, { id, gardenId, deletedAt: IsNull() });
    if (!row) throw notFound('photo');
    return this.kept.read(gardenId, id, size).catch(() => {
      throw notFound('picture');
    });
  }

  setDeleted(gardenId: string, id: string, deleted: boolean): Promise<void> {
    return this.gardens.change(gardenId, async (m) => {
      const found = await updateRows(
        m,
        PhotoEntity,
        { id, gardenId },
        { deletedAt: deleted ? this.clock.now() : null },
      );
      if (found === 0) throw notFound('photo');
    });
  }

  /** Removes photos deleted long ago from the disk, and what a crash left behind. */
  @Cron(CronExpression.EVERY_DAY_AT_3AM)
  sweep(): Promise<void> {
    return inBackground('the cleanup of photos', async () => {
      const before = new Date(this.clock.now().getTime() - KEPT_AFTER_MS);
      const old = await this.db.manager.findBy(PhotoEntity, { deletedAt: LessThan(before) });
      for (const { id, gardenId } of old) await this.files?.remove(gardenId, id);
      if (old.length > 0) await this.db.manager.delete(PhotoEntity, { id: In(old.map((p) => p.id)) });
      await this.tidy();
    });
  }

  /**
   * Removes files without a row, and finds rows without a file: those stay, as the file may come back with a backup. What
   * was written lately is left alone: its row may be on its way.
   */
  async tidy(): Promise<{ files: number; rows: number }> {
    if (!this.files) return { files: 0, rows: 0 };
    const before = this.clock.now().getTime() - SETTLED_MS;
    let files = 0;
    for (const gardenId of await this.files.gardens()) {
      const known = new Set(
        (await this.db.manager.find(PhotoEntity, { where: { gardenId }, select: { id: true } })).map((p) => p.id),
      );
      for (const file of await this.files.list(gardenId))
        if (file.writtenAt < before && !known.has(file.id)) {
          await this.files.drop(gardenId, file.name);
          files += 1;
        }
    }
    const rows = await this.db.manager.find(PhotoEntity, { select: { id: true, gardenId: true } });
    const there = await Promise.all(rows.map((p) => this.files!.has(p.gardenId, p.id)));
    files += (await this.arriving?.tidy(this.clock.now().getTime())) ?? 0;
    return { files, rows: there.filter((is) => !is).length };
  }
}
