import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { SprayLogRow } from '@candid-leaf/contract';
import type { Spraying } from '@candid-leaf/core/records';
import { copperGrams, pickFrom } from '@candid-leaf/core/spray';
import { addDays } from '@candid-leaf/core/units';
import { In, IsNull, type DataSource } from 'typeorm';
import { AccountEntity } from '../accounts/account.entity.js';
import { Snapshots, livePlantsIn } from '../assessment/snapshots.service.js';
import { copperOf } from '../assessment/copper-of.js';
import { RecordEntity } from '../records/record.entity.js';

/**
 * The spray log, with everything an inspector asks for: when, who, what, against what, how strong, where, weather,
 * waiting times.
 */
@Injectable()
export class SprayLogService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly snapshots: Snapshots,
  ) {}

  async list(gardenId: string): Promise<SprayLogRow[]> {
    const s = await this.snapshots.load(gardenId);
    const rows = await this.db.manager.find(RecordEntity, {
      where: { gardenId, type: 'spray', deletedAt: IsNull() },
      order: { day: 'DESC', id: 'DESC' },
    });
    const people = await this.db.manager.findBy(AccountEntity, { id: In(rows.map((r) => r.createdBy)) });
    const weather = new Map(s.weather.map((w) => [w.day, w]));
    return rows.map((r) => {
      const data = r.data as Spraying;
      const plant = s.plants.find((p) => p.id === r.plantId);
      const place = s.places.find((p) => p.id === (r.placeId ?? plant?.placeId));
      const w = weather.get(r.day);
      return {
        id: r.id,
        day: r.day,
        who: people.find((p) => p.id === r.createdBy)?.name ?? null,
        place: place?.name ?? null,
        plants: plant ? [plant.name] : place ? livePlantsIn(s, place.id).map((p) => p.name) : [],
        spray: data,
        weather: w ? { tMinC: w.tMinC, tMaxC: w.tMaxC, windMs: w.windMs, rainMm: w.rainMm } : null,
        pickFrom: data.harvestDays == null ? null : pickFrom(data),
        againFrom: data.everyDays == null ? null : addDays(r.day, data.everyDays),
        copper:
          data.product === 'copper' && place ? { ...copperOf(s, place, r.day, rows), here: copperGrams(data) } : null,
      };
    });
  }
}
