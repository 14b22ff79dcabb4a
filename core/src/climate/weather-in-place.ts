import type { PlaceFacts } from '../records/facts.js';
import { coverOf, isUnderGlass } from '../records/place.js';
import { spellOn } from '../records/spells.js';
import { dayOfYear } from '../units/day.js';
import { toTenth } from '../units/rounding.js';
import type { WeatherDay } from './gaps.js';
import { clearSkySolar, extraterrestrialRadiation, solarFromTemperature } from './radiation.js';

/**
 * The weather where a plant grows. Outdoors it is the station's. Under a cover no rain falls, the sun warms the air
 * by day and the cover keeps some warmth at night. Indoors it is the room's own. Judgement: 5 to 8 °C over the
 * outdoor maximum on a sunny day with vents closed, 2 to 3 °C with vents open; a room of 18 to 22 °C if not stated.
 */
const RISE_IN_SUN_C = { tunnel: { shut: 6.5, open: 2.5 }, glasshouse: { shut: 8, open: 3 } } as const;
/** Share of that rise on a dull day. */
const DULL_SHARE = 0.15;
/** Warmth a cover keeps at night, °C. */
const NIGHT_RISE_C = { tunnel: 1, glasshouse: 2 } as const;
const ROOM_C = { min: 18, max: 22 } as const;
/** Share of the wind that gets through film or glass walls; air speed in a room, m/s. */
const WIND_THROUGH = 0.3;
const ROOM_WIND_MS = 0.3;

type Site = { latitude: number; elevationM: number };

/**
 * Returns how sunny a day was, 0 (dull) to 1 (clear): its solar radiation between a third and three quarters of a
 * clear sky's.
 */
function sunShare(w: WeatherDay, { latitude, elevationM }: Site): number {
  const ra = extraterrestrialRadiation(latitude, dayOfYear(w.date));
  const clear = clearSkySolar(ra, elevationM);
  if (clear <= 0) return 0;
  const solar = w.solarMj ?? (w.rainMm >= 5 ? 0.4 * clear : solarFromTemperature(ra, w.tMinC, w.tMaxC));
  return Math.min(1, Math.max(0, (solar / clear - 0.33) / 0.42));
}

/** Returns the weather a plant gets where it grows: under a roof, in a tunnel or in a room. Same units as the input. */
export function weatherInPlace(
  place: Pick<PlaceFacts, 'kind' | 'cover' | 'vents' | 'roomTMinC' | 'roomTMaxC' | 'roofed'>,
  w: WeatherDay,
  site: Site,
): WeatherDay {
  const own = coverOf(place);
  const cover = own === 'none' && spellOn(place.roofed, w.date) ? 'roof' : own;
  if (cover === 'none') return w;
  if (cover === 'roof') return { ...w, rainMm: 0, wetHours: null };
  if (cover === 'indoors') {
    const coldest = place.roomTMinC ?? Math.min(ROOM_C.min, place.roomTMaxC ?? ROOM_C.min);
    const warmest = place.roomTMaxC ?? Math.max(ROOM_C.max, coldest);
    const { date, filled } = w;
    return { date, tMinC: coldest, tMaxC: warmest, rainMm: 0, windMs: ROOM_WIND_MS, ...(filled ? { filled } : {}) };
  }
  const rise = RISE_IN_SUN_C[cover][place.vents ?? 'shut'];
  const sun = DULL_SHARE + (1 - DULL_SHARE) * sunShare(w, site);
  return {
    ...w,
    rainMm: 0,
    wetHours: null,
    tMaxC: toTenth(w.tMaxC + rise * sun),
    tMinC: toTenth(w.tMinC + (place.vents === 'open' ? 0 : NIGHT_RISE_C[cover])),
    ...(w.nightC != null ? { nightC: toTenth(w.nightC + (place.vents === 'open' ? 0 : NIGHT_RISE_C[cover])) } : {}),
    ...(w.windMs != null ? { windMs: w.windMs * WIND_THROUGH } : {}),
  };
}

/** Returns the note shown beside temperatures that were estimated, not measured. */
export const warmthNote = (place: Pick<PlaceFacts, 'kind' | 'cover' | 'vents'>): string =>
  isUnderGlass(place)
    ? ` (estimated with its vents ${place.vents ?? 'closed'})`
    : coverOf(place) === 'indoors'
      ? ' (the room)'
      : '';
