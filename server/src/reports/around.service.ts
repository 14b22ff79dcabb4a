import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { AroundView } from '@candid-leaf/contract';
import { disorderRow, remedyRow, type RemedyCode } from '@candid-leaf/core/diagnosis';
import { CROPS, type Crop, type DisorderCode } from '@candid-leaf/core/records';
import { countGardens, LEAST_GARDENS, middleOf, regionOf } from '@candid-leaf/core/reports';
import type { GrowingYear } from '@candid-leaf/core/season';
import { addDays, daysBetween, grouped } from '@candid-leaf/core/units';
import type { DataSource } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';

/** Problems of these days are this month's. */
const MONTH_DAYS = 30;
/** Most gardens of a region that are read: a crowded region costs no more. */
const MOST_GARDENS = 300;

/** Counts over the gardens of a region that agreed to it. No names, no places, nothing that fewer than five have. */
@Injectable()
export class AroundService {
  constructor(@InjectDataSource() private readonly db: DataSource) {}

  /** Returns the counts for a garden's region; null if it has not agreed. */
  async of(s: GardenSnapshot, season: GrowingYear): Promise<AroundView | null> {
    if (!s.garden.shareCounts) return null;
    const region = regionOf(s.garden.latitude, s.garden.longitude ?? 0);
    // one garden for each person who keeps some: nobody makes up five
    const rows = await this.db.query<{ id: string }[]>(
      `SELECT MIN(g.id) AS id FROM garden g JOIN membership m ON m.gardenId = g.id AND m.role = 'keep'
       WHERE g.shareCounts = 1 AND g.latitude >= ? AND g.latitude < ? AND g.longitude >= ? AND g.longitude < ?
       GROUP BY m.accountId ORDER BY id LIMIT ${MOST_GARDENS}`,
      [region.south, region.north, region.west, region.east],
    );
    const ids = [...new Set(rows.map((r) => r.id))];
    if (ids.length < LEAST_GARDENS) return { gardens: null, troubles: [], helped: [], firstRipe: [] };
    return {
      gardens: ids.length,
      troubles: await this.troubles(ids, s.today),
      helped: await this.helped(ids, season),
      firstRipe: await this.firstRipe(ids, season),
    };
  }

  private async troubles(ids: readonly string[], today: string): Promise<AroundView['troubles']> {
    const rows = await this.db.query<{ gardenId: string; what: DisorderCode }[]>(
      `SELECT DISTINCT gardenId, disorder AS what FROM treatment WHERE gardenId IN (?) AND openedOn BETWEEN ? AND ?`,
      [ids, addDays(today, -MONTH_DAYS), today],
    );
    return countGardens(rows).map(({ what, gardens }) => ({ label: disorderRow(what).label, gardens }));
  }

  private async helped(ids: readonly string[], { from, to }: GrowingYear): Promise<AroundView['helped']> {
    const rows = await this.db.query<{ gardenId: string; disorder: DisorderCode; remedies: string; outcome: string }[]>(
      `SELECT gardenId, disorder, remedies, outcome FROM treatment
       WHERE gardenId IN (?) AND outcome IS NOT NULL AND openedOn BETWEEN ? AND ?`,
      [ids, from, to],
    );
    const tried = rows.flatMap((r) =>
      (JSON.parse(r.remedies) as RemedyCode[]).map((remedy) => ({
        gardenId: r.gardenId,
        what: `${r.disorder} ${remedy}`,
        worked: r.outcome === 'worked',
      })),
    );
    const worked = new Map(countGardens(tried.filter((t) => t.worked)).map((c) => [c.what, c.gardens]));
    return countGardens(tried).flatMap(({ what, gardens }) => {
      const [disorder, remedy] = what.split(' ') as [DisorderCode, RemedyCode];
      const helped = worked.get(what);
      return helped === undefined
        ? []
        : [{ label: disorderRow(disorder).label, remedy: remedyRow(remedy).label, gardens, worked: helped }];
    });
  }

  private async firstRipe(ids: readonly string[], { from, to }: GrowingYear): Promise<AroundView['firstRipe']> {
    const rows = await this.db.query<{ crop: Crop; day: string }[]>(
      `SELECT p.crop AS crop, MIN(r.day) AS day FROM record r JOIN plant p ON p.id = r.plantId
       WHERE r.gardenId IN (?) AND r.type = 'picking' AND r.deletedAt IS NULL AND r.day BETWEEN ? AND ?
         AND COALESCE(JSON_VALUE(r.data, '$.ripeness'), 'ripe') = 'ripe'
       GROUP BY r.gardenId, p.crop`,
      [ids, from, to],
    );
    const byCrop = grouped(rows, (r) => r.crop);
    return CROPS.flatMap((crop) => {
      const own = byCrop.get(crop) ?? [];
      const middle = middleOf(own.map((r) => daysBetween(from, r.day)));
      return middle === null ? [] : [{ crop, on: addDays(from, Math.round(middle)), gardens: own.length }];
    });
  }
}
