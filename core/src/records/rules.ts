import { type Day, daysBetween } from '../units/day.js';
import type { Fault } from './faults.js';
import type { SignSeen } from './observation.js';
import type { PlaceMake } from './facts.js';
import { type Crop, type PlantType, typesOf } from './plant.js';
import type { WeatherRecord } from './record-classes.js';
import { type DisorderCode, onlyCropOf } from './vocabulary/disorders.js';
import { signRow } from './vocabulary/signs.js';

// Rules that need two fields at once. Each returns the faults it finds under `path`.

/**
 * Returns a fault if a day's lowest temperature is above its highest.
 * @example weatherFaults({ tMinC: 10, tMaxC: 20 }, 'weather') // []
 */
export function weatherFaults(w: Pick<WeatherRecord, 'tMinC' | 'tMaxC'>, path: string): Fault[] {
  return w.tMinC > w.tMaxC
    ? [{ path: `${path}.tMinC`, reason: `${w.tMinC} °C is above the day's warmest, ${w.tMaxC} °C` }]
    : [];
}

/** Returns a fault if a sign cannot occur on this crop, or needs a count. */
export function signFaults(seen: SignSeen, crop: Crop, path: string): Fault[] {
  const faults: Fault[] = [];
  const only = signRow(seen.sign).crop;
  if (only && only !== crop)
    faults.push({ path: `${path}.sign`, reason: `${seen.sign} occurs only on a ${only}; this plant is a ${crop}` });
  if (seen.affected != null && seen.of != null && seen.affected > seen.of)
    faults.push({ path: `${path}.affected`, reason: `${seen.affected} affected out of only ${seen.of}` });
  if (!seen.present && (seen.affected ?? 0) > 0)
    faults.push({ path: `${path}.affected`, reason: 'a sign that was not found cannot have a count' });
  return faults;
}

/** Refuses the same sign as both present and absent on one day. */
export function contradictions(seen: readonly (SignSeen & { date?: Day })[], path: string): Fault[] {
  const first = new Map<string, boolean>();
  return seen.flatMap((s, i) => {
    const key = `${s.date ?? ''} ${s.sign}`;
    const before = first.get(key);
    if (before === undefined) first.set(key, s.present);
    return before !== undefined && before !== s.present
      ? [{ path: `${path}[${i}].present`, reason: `${s.sign} is recorded as both seen and not seen on one day` }]
      : [];
  });
}

/** Returns a fault if a type does not belong to the crop. */
export function typeFaults(crop: Crop, type: PlantType | null | undefined, path: string): Fault[] {
  return type && !typesOf(crop).includes(type) ? [{ path, reason: `${type} is not a type of ${crop}` }] : [];
}

/** A pepper kept over winters lives some years; what stands longer was entered wrongly, years. */
const MOST_PLANT_YEARS = 5;

/** Returns a fault if a plant was planted out after today, or too long ago to be alive. */
export function plantedFaults(on: Day | null | undefined, today: Day, path: string): Fault[] {
  if (!on) return [];
  if (on > today) return [{ path, reason: `${on} is in the future: record it on the day` }];
  return daysBetween(on, today) > 366 * MOST_PLANT_YEARS
    ? [{ path, reason: `${on} is more than ${MOST_PLANT_YEARS} years ago: check the year` }]
    : [];
}

type PlaceRoom = Pick<PlaceMake, 'kind' | 'volumeL' | 'roomTMinC' | 'roomTMaxC'>;

/** Returns the faults of a bed or pot: a size that is missing, or temperatures that are swapped. */
export function placeFaults(place: PlaceRoom, path: string): Fault[] {
  const at = path === '' ? '' : `${path}.`;
  const { kind, volumeL, roomTMinC, roomTMaxC } = place;
  return [
    ...(kind === 'container' && volumeL == null
      ? [
          {
            path: `${at}volumeL`,
            reason: 'a container needs its volume in litres: it decides how much water it holds',
          },
        ]
      : []),
    ...(roomTMinC != null && roomTMaxC != null && roomTMinC > roomTMaxC
      ? [{ path: `${at}roomTMinC`, reason: `${roomTMinC} °C is above the room's warmest, ${roomTMaxC} °C` }]
      : []),
  ];
}

/** Returns faults for resistances against problems the crop cannot have. */
export function resistanceFaults(crop: Crop, codes: readonly DisorderCode[] | undefined, path: string): Fault[] {
  return (codes ?? []).flatMap((code, i) => {
    const only = onlyCropOf(code);
    return only && only !== crop ? [{ path: `${path}[${i}]`, reason: `${code} affects only ${only}` }] : [];
  });
}
