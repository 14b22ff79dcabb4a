import type { PlaceKind, Texture } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';

/** A garden whose season is simulated: where it lies, what its ground is, and what is planted when. */
export interface SeasonGarden {
  name: string;
  latitude: number;
  elevationM: number;
  plantedOn: Day;
  texture: Texture;
  kind: PlaceKind;
  potL: number;
}

/** What `npm test` lives through: a temperate summer in a loam, and the dry tropics in a clay. */
export const SHORT_SEASONS = [1, 4] as const;

/** Eight climates and soils: both hemispheres, the tropics, a tunnel, pots, from sand to clay. */
export const SEASON_GARDENS: readonly SeasonGarden[] = [
  {
    name: 'cool maritime, sandy loam',
    latitude: 52,
    elevationM: 60,
    plantedOn: '2026-05-20',
    texture: 'sandy-loam',
    kind: 'ground',
    potL: 20,
  },
  {
    name: 'warm plain, loam',
    latitude: 45,
    elevationM: 100,
    plantedOn: '2026-05-08',
    texture: 'loam',
    kind: 'ground',
    potL: 20,
  },
  {
    name: 'hot dry summer, clay loam',
    latitude: 37,
    elevationM: 10,
    plantedOn: '2026-04-12',
    texture: 'clay-loam',
    kind: 'ground',
    potL: 30,
  },
  {
    name: 'mountain valley, sand',
    latitude: 43,
    elevationM: 900,
    plantedOn: '2026-06-01',
    texture: 'sand',
    kind: 'ground',
    potL: 15,
  },
  {
    name: 'wet tropics, clay',
    latitude: 10,
    elevationM: 50,
    plantedOn: '2026-02-01',
    texture: 'clay',
    kind: 'raised-bed',
    potL: 20,
  },
  {
    name: 'tropical highland, loam',
    latitude: 1,
    elevationM: 1600,
    plantedOn: '2026-03-01',
    texture: 'loam',
    kind: 'raised-bed',
    potL: 12,
  },
  {
    name: 'southern summer, silt loam',
    latitude: -37,
    elevationM: 50,
    plantedOn: '2025-11-05',
    texture: 'silt-loam',
    kind: 'ground',
    potL: 20,
  },
  {
    name: 'tunnel in the north, loam',
    latitude: 56,
    elevationM: 40,
    plantedOn: '2026-05-10',
    texture: 'loam',
    kind: 'tunnel-bed',
    potL: 20,
  },
];
