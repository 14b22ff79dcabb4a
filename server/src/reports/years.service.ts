import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ComparedSeason, YearsView } from '@candid-leaf/contract';
import {
  type Covering,
  isRainless,
  isSheet,
  type MulchSpell,
  spellsWith,
  type WaterMethod,
} from '@candid-leaf/core/records';
import { plantingDates, type PlantedOut, troublesOverYears, type YearMethod } from '@candid-leaf/core/reports';
import type { GrowingYear } from '@candid-leaf/core/season';
import { daysBetween, grouped, median } from '@candid-leaf/core/units';
import { wayOf } from '@candid-leaf/core/water';
import { Between, type DataSource } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { kindOf, placeOf, yearOf } from '../season/planting-on-view.js';
import { TreatmentEntity } from '../treatments/treatment.entity.js';

/** A season with its plants, and what they gave. */
export interface Season {
  season: GrowingYear;
  plants: readonly PlantEntity[];
  weather: ComparedSeason['weather'];
  /** used, by plant, kg */
  kg: ReadonlyMap<string, number>;
  /** first ripe fruit, by plant */
  firstRipe: ReadonlyMap<string, string>;
}

/** How a bed or pot was watered in a season, from its records. */
interface Watered {
  target: string;
  how: WaterMethod | null;
  days: string;
  first: string;
  last: string;
}

/** What several seasons of one garden show together. */
@Injectable()
export class YearsService {
  constructor(@InjectDataSource() private readonly db: DataSource) {}

  /** Returns planting dates against harvest, and problems beside weather and method. */
  async over(s: GardenSnapshot, seasons: readonly Season[]): Promise<YearsView> {
    const out: PlantedOut[] = [];
    const years = [];
    for (const one of seasons) {
      out.push(...plantedOut(s, one));
      const looked = await this.looked(s, one.season);
      const found = await this.troubles(s, one);
      if (looked || found.length > 0)
        years.push({
          year: one.season.year,
          label: one.season.label,
          plants: one.plants.length,
          troubles: found,
          weather: one.weather,
          method: await this.method(s, one),
        });
    }
    return { dates: plantingDates(out), troubles: troublesOverYears(years) };
  }

  /** A season in which nobody looked has no problems on record, and says nothing. */
  private async looked(s: GardenSnapshot, season: GrowingYear): Promise<boolean> {
    const rows = await this.db.query<unknown[]>(
      `SELECT 1 FROM record WHERE gardenId = ? AND type = 'inspection' AND deletedAt IS NULL AND day BETWEEN ? AND ?
       LIMIT 1`,
      [s.garden.id, season.from, season.to],
    );
    return rows.length > 0;
  }

  private async troubles(s: GardenSnapshot, { season, plants }: Season) {
    const own = new Set(plants.map((p) => p.id));
    const rows = await this.db.manager.find(TreatmentEntity, {
      select: { id: true, plantId: true, disorder: true },
      where: { gardenId: s.garden.id, openedOn: Between(season.from, season.to) },
    });
    return [
      ...grouped(
        rows.filter((r) => own.has(r.plantId)),
        (r) => r.disorder,
      ),
    ].map(([disorder, list]) => ({ disorder, plants: new Set(list.map((r) => r.plantId)).size }));
  }

  /** What was done in a season, from its records; null where nothing is recorded. */
  private async method(s: GardenSnapshot, { season, plants }: Season): Promise<YearMethod> {
    const share = (is: (p: PlantEntity) => boolean): number =>
      plants.length === 0 ? 0 : plants.filter(is).length / plants.length;
    const mulch = await this.mulchIn(s, season);
    const mulchedIn = (p: PlantEntity): boolean =>
      (mulch.get(p.placeId) ?? []).some((m) => (m.to ?? season.to) >= p.transplantedOn!);
    const watered = await this.watered(s, season);
    const ways = grouped(
      watered.map((w) => ({ way: w.how ?? wayOf(s.places.find((p) => p.id === w.target)?.irrigation), n: +w.days })),
      (w) => w.way,
    );
    const often = watered.filter((w) => +w.days > 1).map((w) => daysBetween(w.first, w.last) / (+w.days - 1));
    return {
      mulched: mulch.size > 0 ? share(mulchedIn) : null,
      way:
        [...ways].map(([way, l]) => ({ way, n: l.reduce((t, x) => t + x.n, 0) })).sort((a, b) => b.n - a.n)[0]?.way ??
        null,
      everyDays: often.length === 0 ? null : median(often),
      covered: share((p) => isCovered(s, p)),
      plantedOn: plants.length === 0 ? 0 : median(plants.map((p) => daysBetween(season.from, p.transplantedOn!))),
      varieties: [...new Set(plants.map((p) => kindOf(s, p)))],
    };
  }

  /** Returns the mulch that lay in a season, by bed. A season without any on record says nothing of mulch. */
  private async mulchIn(s: GardenSnapshot, season: GrowingYear): Promise<Map<string, MulchSpell[]>> {
    // a garden's snapshot holds the records of one season only
    const rows = await this.db.query<{ placeId: string; data: string }[]>(
      `SELECT placeId, data FROM record WHERE gardenId = ? AND type = 'covering' AND deletedAt IS NULL
         AND placeId IS NOT NULL AND day <= ? ORDER BY day, id`,
      [s.garden.id, season.to],
    );
    const laid = grouped(rows, (r) => r.placeId);
    return new Map(
      s.places.flatMap((place) => {
        const records = (laid.get(place.id) ?? []).map((r) => JSON.parse(r.data) as Covering);
        const spells = spellsWith(place, records).mulch.filter(
          (m) => m.from <= season.to && (m.to ?? season.to) >= season.from && coversSoil(m),
        );
        return spells.length > 0 ? [[place.id, spells] as const] : [];
      }),
    );
  }

  private watered(s: GardenSnapshot, season: GrowingYear): Promise<Watered[]> {
    return this.db.query<Watered[]>(
      `SELECT COALESCE(placeId, plantId) AS target, JSON_VALUE(data, '$.how') AS how, COUNT(DISTINCT day) AS days,
         MIN(day) AS first, MAX(day) AS last
       FROM record WHERE gardenId = ? AND type = 'watering' AND deletedAt IS NULL AND day BETWEEN ? AND ?
       GROUP BY target, how`,
      [s.garden.id, season.from, season.to],
    );
  }
}

const coversSoil = (m: MulchSpell): boolean => m.depthMm > 0 || isSheet(m.kind);

const plantedOut = (s: GardenSnapshot, { season, plants, kg, firstRipe }: Season): PlantedOut[] =>
  plants.map((p) => ({
    crop: p.crop,
    covered: isCovered(s, p),
    year: season.year,
    over: season.to < s.today,
    plantedOn: p.transplantedOn!,
    firstRipe: firstRipe.get(p.id) ?? null,
    kg: kg.get(p.id) ?? 0,
  }));

function isCovered(s: GardenSnapshot, p: PlantEntity): boolean {
  const place = placeOf(s, p);
  return place != null && isRainless(place);
}

/** Returns the seasons in which plants of this garden went out, newest first, and the one asked for. */
export const seasonsOf = (s: GardenSnapshot, asked: number): number[] =>
  [...new Set([asked, ...s.plants.flatMap((p) => (p.transplantedOn ? [yearOf(s, p.transplantedOn)] : []))])].sort(
    (a, b) => b - a,
  );

/** Returns the plants planted out in a season. */
export const plantsOf = (s: GardenSnapshot, year: number): PlantEntity[] =>
  s.plants.filter((p) => p.transplantedOn && yearOf(s, p.transplantedOn) === year);
