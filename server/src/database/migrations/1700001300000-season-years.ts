import { seasonYear, type SeasonMode } from '@candid-leaf/core/season';
import type { QueryRunner } from 'typeorm';
import { SteppedMigration, type Step } from './stepped.js';

interface Row {
  placeId: string;
  latitude: number;
  seasonMode: SeasonMode | null;
  day: string;
  problem: string | null;
}

/** Every planting and every treated problem of gardens whose season runs across New Year. */
const ROWS = `SELECT p.placeId, g.latitude, g.seasonMode, e.day, e.problem FROM (
    SELECT id AS plantId, transplantedOn AS day, NULL AS problem FROM plant WHERE transplantedOn IS NOT NULL
    UNION ALL SELECT plantId, openedOn AS day, disorder AS problem FROM treatment
  ) e JOIN plant p ON p.id = e.plantId JOIN garden g ON g.id = p.gardenId
  WHERE (g.latitude < 0) <> (COALESCE(g.seasonMode, 'warm') = 'mild-winter') AND p.deletedAt IS NULL`;

/** Earlier crops and problems counted calendar years; they count seasons now. They are built again from their records. */
async function rebuild(q: QueryRunner): Promise<void> {
  const byPlace = new Map<string, Map<number, Set<string>>>();
  for (const r of (await q.query(ROWS)) as Row[]) {
    const years = byPlace.get(r.placeId) ?? new Map<number, Set<string>>();
    byPlace.set(r.placeId, years);
    const year = seasonYear({ latitude: r.latitude, seasonMode: r.seasonMode }, String(r.day).slice(0, 10));
    const problems = years.get(year) ?? new Set<string>();
    years.set(year, problems);
    if (r.problem) problems.add(r.problem);
  }
  for (const [placeId, years] of byPlace) {
    const grown = [...years]
      .sort(([a], [b]) => a - b)
      .map(([year, problems]) => ({ year, family: 'nightshade', problems: [...problems] }));
    await q.query('UPDATE place SET grown = ? WHERE id = ?', [JSON.stringify(grown), placeId]);
  }
}

/** Seasons across New Year are one year: what grew in January belongs to the season before. */
export class SeasonYears1700001300000 extends SteppedMigration {
  readonly name = 'SeasonYears1700001300000';

  protected readonly steps: readonly Step[] = [{ name: 'earlier crops by season', run: rebuild }];
}
