import { climateOfPlace, forecastOf, type GeneratedDay, generateWeather, seeded } from '@candid-leaf/core/climate';
import { addDays, type Day } from '@candid-leaf/core/units';
import {
  COUNTED_CHANCE_PCT,
  dayInPlace,
  demands,
  type ForecastWeather,
  isShortOfWater,
  type PlannedCase,
  runPlan,
  startOf,
  stepRun,
} from '@candid-leaf/core/water';

/** How a gardener takes the forecast: by its chance, by waiting for any rain in it, or not at all. */
export type Trust = 'by-chance' | 'always-wait' | 'never-wait';

/** What a season with it came to. */
export interface SeasonOfTrust {
  litres: number;
  daysShort: number;
}

/** Where the beds lie, and their soils. */
const LATITUDES = [53, 49, 47, 45, 38] as const;
const TEXTURES = ['sandy-loam', 'loam', 'clay'] as const;
const PLANTED: Day = '2026-05-10';
const DAYS = 110;
const AHEAD = 4;
const WORTH_WAITING_MM = 2;
const RULES = { method: 'by-need', how: 'drip', flowLPerH: 4 } as const;
const stageOn = (day: number) =>
  day < 25 ? 'vegetative' : day < 40 ? 'flowering' : day < 65 ? 'fruiting' : 'ripening';

/**
 * Grows a bed tomato through a season. Each morning the plan sees a forecast with its errors, today's rain among them; then
 * the true weather comes.
 */
export function seasonByTrust(seed: number, trust: Trust): SeasonOfTrust {
  const random = seeded(seed * 7919 + 1);
  const latitude = LATITUDES[seed % LATITUDES.length]!;
  const garden = { latitude, longitude: 9, elevationM: 150 };
  const climate = climateOfPlace(latitude, 150, [], 9);
  const truth = generateWeather(climate, garden, PLANTED, DAYS + AHEAD, random);
  const place = { kind: 'ground', texture: TEXTURES[seed % TEXTURES.length]!, areaM2: 0.4 } as const;
  const state = startOf({ fraction: 0.9, sd: 0.05 });
  const season = { litres: 0, daysShort: 0 };
  let since = 1;
  for (let i = 0; i < DAYS; i++) {
    const plant = { crop: 'tomato', transplantedOn: addDays(PLANTED, -20), stage: stageOn(i) } as const;
    const c = { garden, place, plant, asOf: addDays(PLANTED, i) } as unknown as PlannedCase;
    const forecast = forecastOf(truth.slice(i, i + AHEAD), random);
    const seen = forecast.map((w, k) => taken(w, k, trust));
    const waits = trust === 'always-wait' && forecast.some((w) => w.rainMm >= WORTH_WAITING_MM);
    const litres = waits ? 0 : runPlan(c, { state, since }, seen, RULES, 'plan')[0]!.ordered;
    const { own: w, etoMm } = dayInPlace(c, truth[i]!);
    const demand = demands(c)(w, etoMm);
    const given = { litres, wettedShare: 0.4 };
    const { ks } = stepRun(state, { place, crop: 'tomato' }, { w, etoMm, demand, given });
    since = litres > 0 ? 1 : since + 1;
    season.litres += litres;
    season.daysShort += isShortOfWater({ ks }) ? 1 : 0;
  }
  return season;
}

/** Returns a day of the forecast with the rain this gardener counts. Today's rain counts by its chance, as the services give it. */
function taken(w: GeneratedDay & { rainChancePct: number }, ahead: number, trust: Trust): ForecastWeather {
  if (trust !== 'by-chance') return { ...w, rainMm: 0 };
  if (ahead === 0) return { ...w, rainMm: (w.rainMm * w.rainChancePct) / 100 };
  return { ...w, mayRainMm: w.rainMm, rainMm: w.rainChancePct >= COUNTED_CHANCE_PCT ? w.rainMm : 0 };
}
