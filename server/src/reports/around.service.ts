import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { AroundView } from '@candid-leaf/contract';
import { disorderRow, remedyRow, type RemedyCode } from '@candid-leaf/core/diagnosis';
import { CROPS, type Crop, type DisorderCode } from '@candid-leaf/core/records';
import { countGardens, LEAST_GARDENS, middleOf, type Region, regionOf } from '@candid-leaf/core/reports';
import type { GrowingYear } from '@candid-leaf/core/season';
import { addDays, daysBetween } from '@candid-leaf/core/units';
import type { DataSource } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';

/** Problems of these days are this month's. */
const MONTH_DAYS = 30;
/** Most gardens of a region that are read: a crowded region costs no more. */
const MOST_GARDENS = 300;

/** Gardens by id, each with the account that keeps it. */
type Keepers = ReadonlyMap<string, string>;

const NONE: AroundView = { gardens: null, troubles: [], helped: [], firstRipe: [] };

/** Counts over the gardens of a region that agreed to it. No names, no places, nothing that fewer than five have. */
@Injectable()
export class AroundService {
  constructor(@InjectDataSource() private readonly db: DataSource) {}

  /** Returns the counts for a garden's region; null if it has not agreed. */
  async of(s: GardenSnapshot, season: GrowingYear): Promise<AroundView | null> {
    if (!s.garden.shareCounts) return null;
    if (s.garden.longitude == null) return NONE;
    const keepers = await this.keepersIn(regionOf(s.garden.latitude, s.garden.longitude));
    const gardens = new Set(keepers.values()).size;
    if (gardens < LEAST_GARDENS) return NONE;
    return {
      gardens,
      troubles: await this.troubles(keepers, s.today),
      helped: await this.helped(keepers, season),
      firstRipe: await this.firstRipe(keepers, season),
    };
  }

  /** Returns the gardens of a region that agreed, each with who keeps it. */
  private async keepersIn({ south, north, west, east }: Region): Promise<Keepers> {
    const rows = await this.db.query<{ id: string; keeper: string }[]>(
      `SELECT g.id AS id, MIN(m.accountId) AS keeper
       FROM garden g JOIN membership m ON m.gardenId = g.id AND m.role = 'keep'
       WHERE g.shareCounts = 1 AND g.latitude >= ? AND g.latitude < ? AND g.longitude >= ? AND g.longitude < ?
       GROUP BY g.id ORDER BY g.id LIMIT ${MOST_GARDENS}`,
      [south, north, west, east],
    );
    return new Map(rows.map((r) => [r.id, r.keeper]));
  }

  private async troubles(keepers: Keepers, today: string): Promise<AroundView['troubles']> {
    const rows = await this.db.query<{ gardenId: string; disorder: DisorderCode }[]>(
      `SELECT DISTINCT gardenId, disorder FROM treatment WHERE gardenId IN (?) AND openedOn BETWEEN ? AND ?`,
      [[...keepers.keys()], addDays(today, -MONTH_DAYS), today],
    );
    const found = rows.map((r) => ({ keeper: keepers.get(r.gardenId)!, what: r.disorder }));
    return countGardens(found).map(({ what, gardens }) => ({ label: disorderRow(what).label, gardens }));
  }

  /** Only successes: beside how many tried it, the few for whom it failed would show. */
  private async helped(keepers: Keepers, { from, to }: GrowingYear): Promise<AroundView['helped']> {
    const rows = await this.db.query<{ gardenId: string; disorder: DisorderCode; remedies: string }[]>(
      `SELECT gardenId, disorder, remedies FROM treatment
       WHERE gardenId IN (?) AND outcome = 'worked' AND openedOn BETWEEN ? AND ?`,
      [[...keepers.keys()], from, to],
    );
    const worked = rows.flatMap((r) =>
      (JSON.parse(r.remedies) as RemedyCode[]).map((remedy) => ({
        keeper: keepers.get(r.gardenId)!,
        what: `${r.disorder} ${remedy}`,
      })),
    );
    return countGardens(worked).map(({ what, gardens }) => {
      const [disorder, remedy] = what.split(' ') as [DisorderCode, RemedyCode];
      return { label: disorderRow(disorder).label, remedy: remedyRow(remedy).label, gardens };
    });
  }

  private async firstRipe(keepers: Keepers, { from, to }: GrowingYear): Promise<AroundView['firstRipe']> {
    const rows = await this.db.query<{ gardenId: string; crop: Crop; day: string }[]>(
      `SELECT r.gardenId AS gardenId, p.crop AS crop, MIN(r.day) AS day FROM record r JOIN plant p ON p.id = r.plantId
       WHERE r.gardenId IN (?) AND r.type = 'picking' AND r.deletedAt IS NULL AND r.day BETWEEN ? AND ?
         AND COALESCE(JSON_VALUE(r.data, '$.ripeness'), 'ripe') = 'ripe'
       GROUP BY r.gardenId, p.crop ORDER BY day`,
      [[...keepers.keys()], from, to],
    );
    return CROPS.flatMap((crop) => {
      // the first of each person: rows come by day
      const first = new Map<string, string>();
      for (const r of rows) {
        const keeper = keepers.get(r.gardenId)!;
        if (r.crop === crop && !first.has(keeper)) first.set(keeper, r.day);
      }
      const middle = middleOf([...first.values()].map((day) => daysBetween(from, day)));
      return middle === null ? [] : [{ crop, on: addDays(from, Math.round(middle)), gardens: first.size }];
    });
  }
}
