import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ComparedSeason, RemedyRow, SeasonReportView, ShelfRow } from '@candid-leaf/contract';
import { fruitGOf } from '@candid-leaf/core/varieties';
import { greenInOn, onShelf, sauceLitres } from '@candid-leaf/core/harvest';
import { habitOf } from '@candid-leaf/core/prevented';
import { HOT_DAY_C } from '@candid-leaf/core/climate';
import { disorderRow, remedyRow } from '@candid-leaf/core/diagnosis';
import type { Feeding, Picking, RecordData, RecordType, Watering } from '@candid-leaf/core/records';
import { harvestReport, type HarvestReport, type ReportPick } from '@candid-leaf/core/reports';
import { frostsOf, growingYearOf, type GrowingYear } from '@candid-leaf/core/season';
import { Between, IsNull, type DataSource } from 'typeorm';
import { Snapshots, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { kindOf, modeOf, placeOf, seasonOf } from '../season/planting-on-view.js';
import { TreatmentEntity } from '../treatments/treatment.entity.js';
import { roundTo } from '@candid-leaf/core/units';
import { AroundService } from './around.service.js';
import { plantsOf, type Season, seasonsOf, YearsService } from './years.service.js';

/** Most seasons to compare. */
const MOST_COMPARED = 8;
const WEEK_STARTS = { monday: 1, sunday: 0, saturday: 6 } as const;

/** The season's report. It reads the requested season in full, and only sums of the others. */
@Injectable()
export class ReportsService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly snapshots: Snapshots,
    private readonly years: YearsService,
    private readonly around: AroundService,
  ) {}

  async report(gardenId: string, asked?: number): Promise<SeasonReportView> {
    const s = await this.snapshots.load(gardenId);
    const season = seasonOf(s, asked ?? growingYearOf(s.today, s.garden.latitude, modeOf(s)).year);
    const plants = plantsOf(s, season.year);
    const compared: ComparedSeason[] = [];
    const seasons: Season[] = [];
    for (const year of seasonsOf(s, season.year).slice(0, MOST_COMPARED)) {
      const one = await this.compared(s, year);
      compared.push(one.row);
      seasons.push(one.season);
    }
    return {
      season,
      harvest: await this.harvest(s, season, plants),
      ended: plants
        .filter((p) => p.retiredOn)
        .map((p) => ({ name: p.name, place: placeOf(s, p)?.name ?? '', on: p.retiredOn!, because: p.endedBecause })),
      troubles: s.places.flatMap((place) =>
        (place.grown ?? [])
          .filter((y) => y.year === season.year)
          .flatMap((y) => (y.problems ?? []).map((d) => ({ place: place.name, label: disorderRow(d).label }))),
      ),
      ...(await this.remedies(s, season)),
      shelf: await this.shelf(s, season),
      cooked: await this.cooked(s, season),
      compared,
      around: await this.around.of(s, season),
      years: await this.years.over(s, seasons),
    };
  }

  private async harvest(
    s: GardenSnapshot,
    season: GrowingYear,
    plants: readonly PlantEntity[],
  ): Promise<HarvestReport> {
    const picks = await this.records<Picking>(s, season, 'picking');
    const waterings = byTarget(await this.records<Watering>(s, season, 'watering'));
    const feedings = byTarget(await this.records<Feeding>(s, season, 'feeding'));
    return harvestReport(
      plants.map((p) => {
        const [water, feed] = [ofPlant(waterings, p, s.today), ofPlant(feedings, p, s.today)];
        return {
          ...reported(s, p),
          litres: water.length === 0 ? null : water.reduce((t, w) => t + (w.litres ?? 0), 0),
          nitrogenG: feed.length === 0 ? null : feed.reduce((t, f) => t + (f.grams * f.n) / 100, 0),
        };
      }),
      asPicks(picks),
      {
        weekStart: WEEK_STARTS[s.garden.weekStart],
        lateFrom: lateFrom(s, season),
        watered: [...waterings.values()].map((list) => list.filter((r) => r.data.litres !== 0).map((r) => r.day)),
      },
    );
  }

  /** Returns the ripening shelf: green and blushing fruit set aside, until its last day. */
  private async shelf(s: GardenSnapshot, season: GrowingYear): Promise<ShelfRow[]> {
    if (season.to < s.today) return [];
    const picks = await this.records<Picking>(s, season, 'picking');
    return picks
      .filter((r) => r.data.use === 'shelf' && r.day <= s.today)
      .map((r) => ({
        plant: s.plants.find((p) => p.id === r.plantId)?.name ?? '',
        count: r.data.count ?? null,
        grams: r.data.grams ?? null,
        pickedOn: r.day,
        ...onShelf(r.data.ripeness ?? 'blush', r.day, s.today),
      }))
      .filter((r) => r.eatBy >= s.today)
      .sort((a, b) => (a.ripeOn < b.ripeOn ? -1 : 1));
  }

  private async cooked(s: GardenSnapshot, season: GrowingYear): Promise<{ kg: number; litres: number }> {
    const picks = (await this.records<Picking>(s, season, 'picking')).filter((r) => r.data.use === 'sauce');
    let [kg, litres] = [0, 0];
    for (const r of picks) {
      const plant = s.plants.find((p) => p.id === r.plantId);
      if (!plant) continue;
      const variety = s.varietyOf(plant) ?? plant;
      const own = (r.data.grams ?? (r.data.count ?? 0) * fruitGOf(variety)) / 1000;
      kg += own;
      if (plant.crop === 'tomato') litres += sauceLitres(own, variety.type === 'paste');
    }
    return { kg: roundTo(kg, 2), litres: roundTo(litres, 1) };
  }

  private async records<T extends RecordData>(
    s: GardenSnapshot,
    season: GrowingYear,
    type: RecordType,
  ): Promise<Dated<T>[]> {
    // tens of thousands of rows: as they come, not as entities
    const rows = await this.db.manager
      .createQueryBuilder(RecordEntity, 'r')
      .select(['r.plantId AS plantId', 'r.placeId AS placeId', 'r.day AS day', 'r.data AS data'])
      .where({ gardenId: s.garden.id, type, deletedAt: IsNull(), day: Between(season.from, season.to) })
      .getRawMany<Dated<string>>();
    return rows.map((r) => ({ ...r, data: JSON.parse(r.data) as T }));
  }

  private async remedies(
    s: GardenSnapshot,
    season: GrowingYear,
  ): Promise<Pick<SeasonReportView, 'remedies' | 'habit'>> {
    const rows = await this.db.manager.find(TreatmentEntity, {
      where: { gardenId: s.garden.id, openedOn: Between(season.from, season.to) },
      order: { openedOn: 'ASC', id: 'ASC' },
    });
    const remedies = rows.map((t): RemedyRow => ({
      plant: s.plants.find((p) => p.id === t.plantId)?.name ?? '',
      disorder: t.disorder,
      label: disorderRow(t.disorder).label,
      remedies: t.remedies,
      remedyLabels: t.remedies.map((r) => remedyRow(r).label),
      openedOn: t.openedOn,
      closedOn: t.closedOn,
      outcome: t.outcome,
    }));
    const found = rows.map((t) => ({ disorder: t.disorder, prevented: t.report.prevented ?? [] }));
    return { remedies, habit: habitOf(found) };
  }

  /** Returns the sums of a season: its harvest, and the weather from first planting out to last picking. */
  private async compared(s: GardenSnapshot, year: number): Promise<{ row: ComparedSeason; season: Season }> {
    const season = seasonOf(s, year);
    const plants = plantsOf(s, year);
    const own = new Set(plants.map((p) => p.id));
    const picks = (await this.records<Picking>(s, season, 'picking')).filter((r) => r.plantId && own.has(r.plantId));
    const days = picks.map((r) => r.day).sort();
    // without the waterings of a whole season: only the fruit is compared
    const gave = harvestReport(
      plants.map((p) => reported(s, p)),
      asPicks(picks),
    );
    const from = plants.map((p) => p.transplantedOn!).sort()[0] ?? season.from;
    const to = days.at(-1) ?? (season.to < s.today ? season.to : s.today);
    const [row] = await this.db.query<
      { days: string; meanC: number | null; hotDays: string | null; rainMm: number | null }[]
    >(
      `SELECT COUNT(*) AS days, AVG((tMinC + tMaxC) / 2) AS meanC, SUM(tMaxC >= ?) AS hotDays, SUM(rainMm) AS rainMm
       FROM weather WHERE gardenId = ? AND kind = 'observed' AND day BETWEEN ? AND ?`,
      [HOT_DAY_C, s.garden.id, from, to],
    );
    const n = Number(row?.days ?? 0);
    const weather =
      n === 0
        ? null
        : {
            days: n,
            meanC: roundTo(Number(row!.meanC), 1),
            hotDays: Number(row!.hotDays),
            rainMm: Math.round(Number(row!.rainMm)),
          };
    const ripe = picks.filter((r) => (r.data.ripeness ?? 'ripe') === 'ripe').sort((a, b) => (a.day > b.day ? -1 : 1));
    return {
      row: { label: season.label, year, plants: plants.length, kg: gave.kg, firstPick: days[0] ?? null, weather },
      season: {
        season,
        plants,
        weather,
        kg: new Map(gave.plants.map((p) => [p.id, p.kg])),
        // newest first: the first of each plant is written last
        firstRipe: new Map(ripe.map((r) => [r.plantId!, r.day])),
      },
    };
  }
}

/** Returns the day from which fruit is the late crop; null where no frost ends the season. */
function lateFrom(s: GardenSnapshot, season: GrowingYear): string | null {
  const first = modeOf(s) === 'warm' ? frostsOf(s.garden, season).first : null;
  return first === null ? null : greenInOn(first);
}

/** Records of plants and of beds, by the id of either. */
type ByTarget<T> = ReadonlyMap<string, readonly Dated<T>[]>;

function byTarget<T>(list: readonly Dated<T>[]): ByTarget<T> {
  const by = new Map<string, Dated<T>[]>();
  for (const r of list) {
    const id = r.plantId ?? r.placeId ?? '';
    const there = by.get(id);
    if (there) there.push(r);
    else by.set(id, [r]);
  }
  return by;
}

/** Returns what a plant got: its own records, and those of its bed since it grows there. */
const ofPlant = <T>(by: ByTarget<T>, p: PlantEntity, today: string): T[] => [
  ...(by.get(p.id) ?? []).map((r) => r.data),
  ...(by.get(p.placeId) ?? [])
    .filter((r) => r.day >= p.transplantedOn! && r.day <= (p.retiredOn ?? today))
    .map((r) => r.data),
];

const asPicks = (picks: readonly Dated<Picking>[]): ReportPick[] =>
  picks.flatMap((r) => (r.plantId ? [{ ...r.data, plantId: r.plantId }] : []));

/** A plant as the report names it, without what it got. */
function reported(s: GardenSnapshot, p: PlantEntity) {
  const variety = s.varietyOf(p);
  return {
    id: p.id,
    name: p.name,
    variety: kindOf(s, p),
    place: placeOf(s, p)?.name ?? '',
    crop: p.crop,
    type: variety?.type ?? p.type,
    fruitG: variety?.fruitG ?? null,
    litres: null,
    nitrogenG: null,
  };
}

interface Dated<T> {
  plantId: string | null;
  placeId: string | null;
  day: string;
  data: T;
}
