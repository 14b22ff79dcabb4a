/**
 * When in the year it rains, roughly, for simulated years: a small table by latitude and coast (judgement after the
 * usual climate maps, from memory). The first matching box counts; elsewhere rain falls evenly all year.
 */
interface RainSeason {
  label: string;
  latitude: readonly [number, number];
  longitude: readonly [number, number];
  /** share of rainy days over the year */
  share: number;
  /** middle of the wettest month, 0 January to 11 December; null if there is none */
  wettest: number | null;
  /** how far the wettest month is above the mean and the driest below it, 0 to 1 */
  swing: number;
}

const DRY_SUMMER = { share: 0.2, swing: 0.92 } as const;
const JANUARY = 0;
const JULY = 6;

const APRIL = 3;

const RAIN_SEASONS: readonly RainSeason[] = [
  { label: 'the Mediterranean', latitude: [30, 44], longitude: [-10, 40], wettest: JANUARY, ...DRY_SUMMER },
  {
    label: 'the west coast of North America',
    latitude: [32, 43],
    longitude: [-125, -117],
    wettest: JANUARY,
    ...DRY_SUMMER,
  },
  { label: 'central Chile', latitude: [-40, -29], longitude: [-75, -69], wettest: JULY, ...DRY_SUMMER },
  { label: 'the Cape region of Africa', latitude: [-36, -31], longitude: [16, 23], wettest: JULY, ...DRY_SUMMER },
  { label: 'south and west Australia', latitude: [-38, -29], longitude: [113, 141], wettest: JULY, ...DRY_SUMMER },
  {
    label: 'the deserts of North America',
    latitude: [22, 37],
    longitude: [-117, -103],
    share: 0.08,
    wettest: JULY,
    swing: 0.3,
  },
  { label: 'the Sahara and Arabia', latitude: [15, 31], longitude: [-16, 60], share: 0.03, wettest: null, swing: 0 },
  { label: 'monsoon Asia', latitude: [8, 40], longitude: [68, 130], share: 0.3, wettest: JULY, swing: 0.85 },
  // the long rains; the short ones of November are left out
  { label: 'East Africa', latitude: [-5, 5], longitude: [29, 43], share: 0.3, wettest: APRIL, swing: 0.6 },
  { label: 'the Malay islands', latitude: [-5, 8], longitude: [95, 155], share: 0.5, wettest: null, swing: 0 },
  { label: 'the northern tropics', latitude: [5, 23], longitude: [-180, 180], share: 0.35, wettest: JULY, swing: 0.7 },
  {
    label: 'the southern tropics',
    latitude: [-23, -5],
    longitude: [-180, 180],
    share: 0.35,
    wettest: JANUARY,
    swing: 0.7,
  },
];

const EVEN: Pick<RainSeason, 'share' | 'wettest' | 'swing'> = { share: 0.3, wettest: null, swing: 0 };

const within = (x: number, [low, high]: readonly [number, number]): boolean => x >= low && x <= high;

/** Returns the share of rainy days in each month, January first, for a place without records. */
export function monthlyRainShares(latitude: number, longitude: number | null): number[] {
  const { share, wettest, swing } =
    RAIN_SEASONS.find(
      (s) =>
        within(latitude, s.latitude) && (longitude === null ? s.longitude[0] === -180 : within(longitude, s.longitude)),
    ) ?? EVEN;
  return Array.from({ length: 12 }, (_, month) =>
    wettest === null
      ? share
      : Math.min(0.8, Math.max(0.01, share * (1 + swing * Math.cos(((month - wettest) / 12) * 2 * Math.PI)))),
  );
}
