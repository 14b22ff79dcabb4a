import type { PlaceFacts } from '../records/facts.js';
import { isPotted, type Slope, type Texture } from '../records/place.js';

/** Share of rain a sloping surface holds compared with level ground (judgement). A pot is always level. */
const SLOPE_HOLDS: Record<Slope, number> = { flat: 1, gentle: 0.75, steep: 0.5 };
/**
 * Returns the share of rain and water that a slope holds, 0 to 1.
 * @example slopeHolds({ kind: 'ground', slope: 'steep' }) // 0.5
 */
export const slopeHolds = (place: Pick<PlaceFacts, 'kind' | 'slope'>): number =>
  isPotted(place) ? 1 : SLOPE_HOLDS[place.slope ?? 'flat'];

/**
 * How much water a soil or mix holds, and how fast it takes it in and drains. Field capacity and wilting point:
 * FAO-56 Table 19, middle of each range (from memory). Infiltration and drainage: common practice, judgement.
 */
export interface Soil {
  label: string;
  /** θFC and θWP, m³ of water per m³ of soil */
  fieldCapacity: number;
  wiltingPoint: number;
  /** readily evaporable water REW of the top 10 cm, mm (Table 19, middle; mixes: judgement) */
  rewMm: number;
  /** most rain that soaks in on one day before it runs off, mm */
  soaksInMm: number;
  /** share of the water above field capacity gone after a day */
  drainsPerDay: number;
  /** water above field capacity the soil can hold, as a share of the water between θFC and θWP */
  roomAbove: number;
}

/** Water held by each texture: fractions of volume, mm (FAO-56 Table 19; mixes: judgement). */
export const SOILS: Record<Texture, Soil> = {
  sand: {
    label: 'Sand',
    fieldCapacity: 0.12,
    wiltingPoint: 0.045,
    rewMm: 4.5, // Table 19 gives 2 to 7 for sand
    soaksInMm: 120,
    drainsPerDay: 1,
    roomAbove: 0.5,
  },
  'loamy-sand': {
    label: 'Loamy sand',
    fieldCapacity: 0.15,
    wiltingPoint: 0.065,
    rewMm: 6,
    soaksInMm: 100,
    drainsPerDay: 1,
    roomAbove: 0.5,
  },
  'sandy-loam': {
    label: 'Sandy loam',
    fieldCapacity: 0.23,
    wiltingPoint: 0.11,
    rewMm: 8,
    soaksInMm: 80,
    drainsPerDay: 1,
    roomAbove: 0.4,
  },
  loam: {
    label: 'Loam',
    fieldCapacity: 0.25,
    wiltingPoint: 0.12,
    rewMm: 9,
    soaksInMm: 60,
    drainsPerDay: 1,
    roomAbove: 0.4,
  },
  'silt-loam': {
    label: 'Silt loam',
    fieldCapacity: 0.29,
    wiltingPoint: 0.15,
    rewMm: 9.5,
    soaksInMm: 45,
    drainsPerDay: 0.8,
    roomAbove: 0.35,
  },
  // Table 19 has no clay loam row; this uses the middle of silt clay loam (0.30–0.37, 0.17–0.24).
  'clay-loam': {
    label: 'Clay loam',
    fieldCapacity: 0.335,
    wiltingPoint: 0.205,
    rewMm: 9.5,
    soaksInMm: 35,
    drainsPerDay: 0.6,
    roomAbove: 0.3,
  },
  clay: {
    label: 'Clay',
    fieldCapacity: 0.36,
    wiltingPoint: 0.22,
    rewMm: 10,
    soaksInMm: 25,
    drainsPerDay: 0.4,
    roomAbove: 0.3,
  },
  // Mixes: available share of the pot's volume, judgement.
  'potting-mix': {
    label: 'Potting mix',
    fieldCapacity: 0.45,
    wiltingPoint: 0.2,
    rewMm: 8,
    soaksInMm: 500,
    drainsPerDay: 1,
    roomAbove: 0.3,
  },
  'porous-mix': {
    label: 'Porous mix',
    fieldCapacity: 0.3,
    wiltingPoint: 0.15,
    rewMm: 5,
    soaksInMm: 500,
    drainsPerDay: 1,
    roomAbove: 0.4,
  },
};

/**
 * Returns available water as a share of the soil's volume, θFC − θWP.
 * @example availableShare('loam') // 0.13
 */
export const availableShare = (texture: Texture): number => SOILS[texture].fieldCapacity - SOILS[texture].wiltingPoint;

/** Percolation slower than this is poor drainage, mm per hour (common practice, from memory). */
export const SLOW_PERCOLATION_MM_H = 25;
