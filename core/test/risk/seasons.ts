import { contextOf } from '@candid-leaf/core/diagnosis';
import { comingRisks } from '@candid-leaf/core/risk';
import type { DisorderCode } from '@candid-leaf/core/records';
import { addDays, type Day } from '@candid-leaf/core/units';
import { planPlace } from '@candid-leaf/core/water';
import { climateOfPlace, forecastOf, generateWeather, seeded } from '../../src/climate/index.js';
import { parseCase } from '../../src/casefile/index.js';

/**
 * Seasons of a tomato that is watered about every third day, in six climates. Each week the risks are told from a forecast
 * with its errors, and again from the weather that then came: what both name is a hit.
 */
export interface Climate {
  name: string;
  latitude: number;
  elevationM: number;
  plantedOn: Day;
  /** departure from what the latitude alone gives */
  warmerC?: number;
  moister?: number;
  cover?: 'tunnel';
}
export const CLIMATES: readonly Climate[] = [
  { name: 'cool, wet summer', latitude: 53, elevationM: 60, plantedOn: '2026-05-25', warmerC: 5, moister: 6 },
  { name: 'warm summer', latitude: 45, elevationM: 150, plantedOn: '2026-05-12' },
  { name: 'dry, hot summer', latitude: 38, elevationM: 40, plantedOn: '2026-04-20', moister: -15 },
  { name: 'humid, hot summer', latitude: 33, elevationM: 60, plantedOn: '2026-04-10', moister: 8 },
  { name: 'mountain valley', latitude: 46, elevationM: 900, plantedOn: '2026-06-01' },
  {
    name: 'tunnel in the north',
    latitude: 56,
    elevationM: 30,
    plantedOn: '2026-05-10',
    warmerC: 5,
    moister: 6,
    cover: 'tunnel',
  },
];
/** Weeks of a season. */
const WEEKS = 16;
const stageAfter = (days: number) =>
  days < 25 ? 'vegetative' : days < 40 ? 'flowering' : days < 65 ? 'fruiting' : 'ripening';

export interface Counted {
  alarms: number;
  hits: number;
  misses: number;
}
export interface SeasonResult {
  weeks: number;
  quiet: number;
  by: Map<DisorderCode, Counted>;
}

/** Lives through one season, and counts. */
export function season(at: Climate, seed: number): SeasonResult {
  const random = seeded(1000 * at.latitude + seed);
  const garden = { latitude: at.latitude, longitude: 8.9, elevationM: at.elevationM };
  const from = addDays(at.plantedOn, -10);
  const years = generateWeather(
    climateOfPlace(at.latitude, at.elevationM, []),
    garden,
    from,
    10 + 7 * WEEKS + 8,
    random,
  );
  for (const w of years) {
    w.tMinC += at.warmerC ?? 0;
    w.tMaxC += at.warmerC ?? 0;
    w.rhMeanPct = Math.min(98, Math.max(20, w.rhMeanPct + (at.moister ?? 0)));
  }
  const watering: { date: Day; litres: number }[] = [];
  for (let i = 0; i < 7 * WEEKS; i++)
    if (random() < 0.3) watering.push({ date: addDays(at.plantedOn, i), litres: 4 + 8 * random() });
  const pruning = [{ date: addDays(at.plantedOn, 60), leafSharePct: 30 }];
  const out: SeasonResult = { weeks: 0, quiet: 0, by: new Map() };
  const rules = { method: 'by-need' as const };
  for (let week = 2; week < WEEKS; week++) {
    const today = addDays(at.plantedOn, 7 * week);
    const known = years.filter((w) => w.date <= today);
    const truth = years.filter((w) => w.date > today).slice(0, 7);
    const c = parseCase({
      format: 'candid-leaf-case',
      version: 1,
      asOf: today,
      garden,
      place: at.cover
        ? { kind: 'tunnel-bed', cover: 'tunnel', vents: 'open', texture: 'loam', areaM2: 0.35 }
        : { kind: 'ground', texture: 'loam', areaM2: 0.35 },
      plant: {
        crop: 'tomato',
        transplantedOn: at.plantedOn,
        stage: stageAfter(7 * week),
        heightM: Math.min(1.6, 0.3 + week / 8),
      },
      records: { weather: known, watering: watering.filter((w) => w.date <= today), pruning },
      observations: [],
    });
    const told = (forecast: typeof truth): Set<DisorderCode> => {
      const ctx = contextOf(c, forecast);
      const plan = planPlace('p', rules, [{ id: 'a', case: c, balance: ctx.balance, held: false }], forecast).pours[0]!
        .plan;
      return new Set(comingRisks(ctx, { plan, forecast, found: [] }).map((r) => r.disorder));
    };
    const alarms = told(forecastOf(truth, random));
    const came = told(truth.map((w) => ({ ...w, rainChancePct: 100 })));
    out.weeks += 1;
    if (alarms.size === 0) out.quiet += 1;
    for (const d of new Set([...alarms, ...came])) {
      const sum = out.by.get(d) ?? { alarms: 0, hits: 0, misses: 0 };
      out.by.set(d, {
        alarms: sum.alarms + (alarms.has(d) ? 1 : 0),
        hits: sum.hits + (alarms.has(d) && came.has(d) ? 1 : 0),
        misses: sum.misses + (!alarms.has(d) ? 1 : 0),
      });
    }
  }
  return out;
}
