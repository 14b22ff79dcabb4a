import { degreeDays, USUAL_DEGREE_DAYS } from '../climate/degree-days.js';
import { meanCycle } from '../climate/mean-cycle.js';
import { extraterrestrialRadiation, solarOf } from '../climate/radiation.js';
import type { WeatherDay } from '../climate/gaps.js';
import type { CaseContext } from '../diagnosis/context.js';
import { grownOn, SEASON_GROWTH, USUAL_SOLAR_MJ } from '../nutrition/uptake.js';
import type { GardenFacts } from '../records/facts.js';
import { isPotted } from '../records/place.js';
import { addDays, type Day, dayOfYear, daysBetween } from '../units/day.js';
import { coveredM2, heightOnDay, usualHeightM, WATER_CROPS } from '../water/crops.js';
import { lightShare, seasonClock } from '../water/season.js';

/** Days whose mean stands for those without weather. */
const NEAR_DAYS = 14;
/** Light and warmth of a day about which nothing is known: a temperate summer day. */
const USUAL = { solarMj: USUAL_SOLAR_MJ, degreeDays: 0.82 * USUAL_DEGREE_DAYS };

/**
 * Returns what a plant has grown by each day from planting on, as a share of a usual season: by the light that its leaves
 * catch and by the warmth, where it stands. A long warm season comes to more than 1, a cool short one to less.
 * @param groundM2 ground of the plant; less than its leaves could cover means less light
 */
export function grownByDay(c: CaseContext, from: Day, to: Day, groundM2: number): number[] {
  const { plant, place, garden, asOf } = c.case;
  const { crop } = plant;
  const clock = seasonClock(c.case);
  const weather = new Map([...c.own, ...c.ownAhead].map((w) => [w.date, w]));
  const usual = meanOf(c, lastDays(c.own, asOf));
  const changes = seasonChange(garden, asOf);
  const mostM2 = isPotted(place) ? Infinity : groundM2;
  const today = daysBetween(from, asOf);
  const heightOn = (day: number): number =>
    day <= today
      ? heightOnDay(clock.heightTodayM, day, today)
      : clock.heightTodayM + usualHeightM(crop, day * clock.pace) - usualHeightM(crop, today * clock.pace);
  const out: number[] = [];
  let sum = 0;
  for (let i = 0; i <= daysBetween(from, to); i++) {
    const date = addDays(from, i);
    const w = weather.get(date);
    const { solarMj, degreeDays } = w ? growsBy(garden.latitude, w) : date > asOf ? changes(usual, date) : usual;
    const coverShare = Math.min(coveredM2(crop, heightOn(i)), mostM2) / WATER_CROPS[crop].fullCoverM2;
    sum += grownOn({ coverShare, solarMj: solarMj * lightShare(place, date), degreeDays }) / SEASON_GROWTH;
    out.push(sum);
  }
  return out;
}

/** What a day to come gives: like the last days, but for the sun's height and the usual course of warmth. */
function seasonChange(
  garden: Pick<GardenFacts, 'latitude' | 'longitude' | 'elevationM'>,
  asOf: Day,
): (usual: Grows, on: Day) => Grows {
  const { latitude, longitude, elevationM } = garden;
  const mean = meanCycle({ latitude, elevationM, longitude }, []);
  const sun = (day: Day): number => extraterrestrialRadiation(latitude, dayOfYear(day));
  const [sunNow, meanNow] = [sun(asOf), mean(asOf)];
  return ({ solarMj, degreeDays }, on) => ({
    solarMj: (solarMj * sun(on)) / sunNow,
    degreeDays: Math.max(0, degreeDays + mean(on) - meanNow),
  });
}

type Grows = { solarMj: number; degreeDays: number };
const growsBy = (latitude: number, w: WeatherDay): Grows => ({
  solarMj: solarOf(w, latitude),
  degreeDays: degreeDays(w),
});
const lastDays = (own: readonly WeatherDay[], asOf: Day): WeatherDay[] =>
  own.filter((w) => w.date > addDays(asOf, -NEAR_DAYS) && w.date <= asOf);

function meanOf(c: CaseContext, days: readonly WeatherDay[]): Grows {
  if (days.length === 0) return USUAL;
  const all = days.map((w) => growsBy(c.case.garden.latitude, w));
  const mean = (value: (g: Grows) => number): number => all.reduce((sum, g) => sum + value(g), 0) / all.length;
  return { solarMj: mean((g) => g.solarMj), degreeDays: mean((g) => g.degreeDays) };
}
