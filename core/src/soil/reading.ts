import type { Fault } from '../records/faults.js';
import type { Level, SoilTest } from '../records/facts.js';
import type { Crop } from '../records/plant.js';
import type { PMethod, SoilValues } from '../records/soil-values.js';
import { roundTo } from '../units/rounding.js';
import { SALTY_DS_PER_M } from './limits.js';
import { inPpm, type SoilElement } from './units.js';

/**
 * Enough from the first number, plenty from the second: mg/kg of the element (ranges of extension tables, from
 * memory; they differ by region).
 */
const BANDS: Record<Exclude<SoilElement, 'phosphorus'>, readonly [number, number]> = {
  nitrate: [10, 30],
  potassium: [120, 250],
  calcium: [600, 4000],
  magnesium: [60, 300],
};
const P_BANDS: Record<PMethod, readonly [number, number]> = { 'mehlich-3': [30, 100], olsen: [12, 40], bray: [20, 60] };
/** Common practice: tomato 6.0 to 6.8, pepper 6.0 to 7.0. */
export const PH_BAND: Record<Crop, readonly [number, number]> = { tomato: [6, 6.8], pepper: [6, 7] };
const ORGANIC_BAND = [3, 8] as const;

const ELEMENTS: readonly (readonly [SoilElement, string])[] = [
  ['nitrate', 'Nitrate nitrogen'],
  ['phosphorus', 'Phosphorus'],
  ['potassium', 'Potassium'],
  ['calcium', 'Calcium'],
  ['magnesium', 'Magnesium'],
];

/** One value of a soil test against its target. */
export interface SoilRow {
  what: string;
  /** value in mg/kg, pH, dS/m or % */
  value: number;
  unit: string;
  /** the target range */
  band: readonly [number, number];
  level: Level;
}

const levelOf = (x: number, [low, high]: readonly [number, number]): Level =>
  x < low ? 'low' : x > high ? 'high' : 'ok';

/** Reads a soil test for one crop: what is low, what is plenty. */
export function readSoilTest(test: SoilTest, crop: Crop): SoilRow[] {
  const rows: SoilRow[] = [];
  if (test.pH != null)
    rows.push({ what: 'pH', value: test.pH, unit: '', band: PH_BAND[crop], level: levelOf(test.pH, PH_BAND[crop]) });
  for (const [element, what] of ELEMENTS) {
    const given = test.values?.[element];
    const ppm = given ? inPpm(element, given) : null;
    const band = bandOf(element, test.values);
    if (ppm !== null && band)
      rows.push({ what, value: roundTo(ppm, ppm < 10 ? 1 : 0), unit: 'mg/kg', band, level: levelOf(ppm, band) });
  }
  const om = test.values?.organicMatterPct;
  if (om != null)
    rows.push({ what: 'Organic matter', value: om, unit: '%', band: ORGANIC_BAND, level: levelOf(om, ORGANIC_BAND) });
  if (test.saltsDsPerM != null) {
    const band = [0, SALTY_DS_PER_M[crop]] as const;
    rows.push({ what: 'Salts', value: test.saltsDsPerM, unit: 'dS/m', band, level: levelOf(test.saltsDsPerM, band) });
  }
  return rows;
}

/** Phosphorus is judged by its extraction method, and not at all if that is unknown. */
function bandOf(element: SoilElement, values: SoilValues | null | undefined): readonly [number, number] | null {
  if (element !== 'phosphorus') return BANDS[element];
  return values?.phosphorusBy ? P_BANDS[values.phosphorusBy] : null;
}

/** Adds the levels that findings use, read from the numbers if present; levels given as words stay. */
export function withLevels(test: SoilTest): SoilTest {
  const v = test.values;
  if (!v) return test;
  const level = (element: SoilElement): Level | undefined => {
    const ppm = v[element] ? inPpm(element, v[element]) : null;
    const band = bandOf(element, v);
    return ppm === null || !band ? undefined : levelOf(ppm, band);
  };
  const read: [keyof SoilTest, Level | undefined][] = [
    ['nitrogen', level('nitrate')],
    ['phosphorus', level('phosphorus')],
    ['potassium', level('potassium')],
    ['calcium', level('calcium')],
    ['magnesium', level('magnesium')],
  ];
  return { ...test, ...Object.fromEntries(read.filter(([, l]) => l !== undefined)) };
}

/** Refuses a unit that does not fit this element. */
export function soilTestFaults(test: SoilTest, path: string): Fault[] {
  return ELEMENTS.flatMap(([element, what]) => {
    const given = test.values?.[element];
    return given && inPpm(element, given) === null
      ? [
          {
            path: `${path}.values.${element}.unit`,
            reason: `${given.unit} of ${what.toLowerCase()} is not a valid unit: check the report again`,
          },
        ]
      : [];
  });
}
