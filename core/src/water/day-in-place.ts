import type { WeatherDay } from '../climate/gaps.js';
import { type EtoMethod, referenceEvapotranspiration } from '../climate/reference-evapotranspiration.js';
import { weatherInPlace } from '../climate/weather-in-place.js';
import { coverOf } from '../records/place.js';
import type { PlantCase } from '../records/plant-case.js';
import { dayOfYear } from '../units/day.js';
import { etoAtPlant } from './season.js';

/**
 * One day as the plant experiences it: the weather where it grows, and the reference evapotranspiration that reaches
 * it.
 */
interface DayInPlace {
  own: WeatherDay;
  etoMm: number;
  method: EtoMethod;
}

type Standing = Pick<PlantCase, 'place' | 'garden'>;

/** Returns ETo outdoors, or in the room for an indoor plant, mm. */
export function openEto({ place, garden }: Standing, w: WeatherDay, own: WeatherDay) {
  const felt = coverOf(place) === 'indoors' ? own : w;
  return referenceEvapotranspiration(felt, garden.latitude, garden.elevationM, dayOfYear(w.date));
}

/** Returns a day's weather and reference evapotranspiration where the plant grows. */
export function dayInPlace(c: Standing, w: WeatherDay): DayInPlace {
  const own = weatherInPlace(c.place, w, c.garden);
  const open = openEto(c, w, own);
  return { own, etoMm: etoAtPlant(c.place, w.date, open.etoMm), method: open.method };
}
