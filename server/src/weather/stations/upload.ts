import { roundTo } from '@candid-leaf/core/units';

/** What a station sent at one moment, metric. Null: not sent, or not possible. */
export interface Reading {
  /** ms since 1970; null: "now" */
  at: number | null;
  /** the time as the station stated it; null: "now" */
  stamp: string | null;
  tC: number | null;
  rhPct: number | null;
  windMs: number | null;
  /** energy of the sun, W/m² */
  sunWm2: number | null;
  /** a counter that grows and begins anew, mm */
  rainCounterMm: number | null;
  /** rain of this hour alone, mm, where no counter is sent */
  rainMm: number | null;
}

/** A reading of a soil probe: a raw number, or °C. */
export interface SoilReading {
  /** `moisture-1`, `warmth-2` */
  channel: string;
  raw: number;
}

/** A reading, and what was left out of it, in sentences. */
export interface Upload {
  reading: Reading;
  soil: SoilReading[];
  refused: string[];
}

/**
 * What can be outdoors, metric (judgement: a little beyond the records of the earth). Temperatures reach up to 140: they may
 * be Fahrenheit by mistake, which is asked later.
 */
export const POSSIBLE = {
  tC: [-60, 140],
  rhPct: [0, 100],
  windMs: [0, 60],
  sunWm2: [0, 1500],
  rainCounterMm: [0, 5000],
  /** the heaviest hours on earth bring 300 */
  rainMm: [0, 150],
} as const;

const WORDS: Record<keyof typeof POSSIBLE, (value: number) => string> = {
  tC: (v) => `a temperature of ${v} °C`,
  rhPct: (v) => `a humidity of ${v} %`,
  windMs: (v) => `a wind of ${v} m/s`,
  sunWm2: (v) => `sun of ${v} W/m²`,
  rainCounterMm: (v) => `a rain counter at ${v} mm`,
  rainMm: (v) => `${v} mm of rain at once`,
};

/** Stations send such a number for a sensor that is not there (from memory). */
const NO_SENSOR_BELOW = -990;

const MM_PER_INCH = 25.4;
const MS_PER_MPH = 0.44704;
const fromF = (f: number): number => (f - 32) / 1.8;

/**
 * The fields of both uploads, US units, with their meaning. Names as in the common upload of consumer stations
 * (`updateweatherstation.php`) and in the form that gateways post; all from memory. Of two rain counters the first counts.
 */
const FIELDS: readonly [field: string, into: keyof typeof POSSIBLE, (v: number) => number][] = [
  ['tempf', 'tC', fromF],
  ['humidity', 'rhPct', (v) => v],
  ['windspeedmph', 'windMs', (v) => v * MS_PER_MPH],
  ['solarradiation', 'sunWm2', (v) => v],
  ['yearlyrainin', 'rainCounterMm', (v) => v * MM_PER_INCH],
  ['totalrainin', 'rainCounterMm', (v) => v * MM_PER_INCH],
  ['dailyrainin', 'rainCounterMm', (v) => v * MM_PER_INCH],
];

/** Reads an upload in US units, of a station or a gateway. */
export function uploadFrom(fields: URLSearchParams): Upload {
  const reading = empty();
  const refused: string[] = [];
  for (const [field, into, convert] of FIELDS) {
    const text = fields.get(field);
    if (text === null || text.trim() === '' || reading[into] !== null) continue;
    const sent = Number(text);
    if (sent < NO_SENSOR_BELOW) continue;
    take(reading, refused, into, Number.isFinite(sent) ? roundTo(convert(sent), 2) : Number.NaN);
  }
  const stamp = fields.get('dateutc');
  return {
    reading: { ...reading, ...momentOf(stamp) },
    soil: soilOf([...fields.entries()], SOIL_FIELDS, refused),
    refused,
  };
}

/** Metric names of sensors that speak for themselves: MQTT topics and columns of CSV files. */
export const METRIC = {
  temperature_c: 'tC',
  humidity_pct: 'rhPct',
  wind_ms: 'windMs',
  sun_wm2: 'sunWm2',
  rain_counter_mm: 'rainCounterMm',
  rain_mm: 'rainMm',
} as const;

/** Reads metric values by their names; unknown names are left out. */
export function metricReading(values: Readonly<Record<string, unknown>>, stamp: string | null): Upload {
  const reading = empty();
  const refused: string[] = [];
  for (const [name, into] of Object.entries(METRIC)) {
    const value = values[name];
    if (value === undefined || value === null || value === '') continue;
    take(reading, refused, into, typeof value === 'number' ? value : Number(value));
  }
  return {
    reading: { ...reading, ...momentOf(stamp) },
    soil: soilOf(Object.entries(values), SOIL_NAMES, refused),
    refused,
  };
}

/** Fields of soil probes, with their channel: of gateways (`soilmoisture3`, `tf_ch3`) and of consumer stations; from memory. */
const SOIL_FIELDS: readonly [pattern: RegExp, kind: string, (v: number) => number][] = [
  [/^soilmoisture([1-8]?)$/, 'moisture', (v) => v],
  [/^(?:tf_ch|soiltemp)([1-8]?)f?$/, 'warmth', fromF],
];
/** The same as metric names. */
const SOIL_NAMES: typeof SOIL_FIELDS = [
  [/^soil_moisture_([1-8])$/, 'moisture', (v) => v],
  [/^soil_c_([1-8])$/, 'warmth', (v) => v],
];
const POSSIBLE_SOIL: Record<string, readonly [number, number]> = { moisture: [0, 5000], warmth: [-30, 70] };

function soilOf(
  fields: readonly (readonly [string, unknown])[],
  names: typeof SOIL_FIELDS,
  refused: string[],
): SoilReading[] {
  return fields.flatMap(([name, value]): SoilReading[] => {
    for (const [pattern, kind, convert] of names) {
      const found = pattern.exec(name);
      if (!found || value === '') continue;
      const raw = roundTo(convert(Number(value)), 2);
      const [least, most] = POSSIBLE_SOIL[kind]!;
      if (raw >= least && raw <= most) return [{ channel: `${kind}-${found[1] || '1'}`, raw }];
      if (!(raw < NO_SENSOR_BELOW)) refused.push(`a soil reading of ${String(value)}`);
    }
    return [];
  });
}

const empty = (): Reading => ({
  at: null,
  stamp: null,
  tC: null,
  rhPct: null,
  windMs: null,
  sunWm2: null,
  rainCounterMm: null,
  rainMm: null,
});

function take(reading: Reading, refused: string[], into: keyof typeof POSSIBLE, value: number): void {
  const [least, most] = POSSIBLE[into];
  if (value >= least && value <= most) reading[into] = value;
  else refused.push(Number.isNaN(value) ? 'something that is no number' : WORDS[into](value));
}

/** Reads `2026-07-18 12:00:00` as UTC; `now` and what is no time are the moment of arrival. */
function momentOf(stamp: string | null): Pick<Reading, 'at' | 'stamp'> {
  if (stamp === null || stamp === 'now') return { at: null, stamp: null };
  const iso = /^\d{4}-\d\d-\d\d \d\d:\d\d(:\d\d)?$/.test(stamp) ? `${stamp.replace(' ', 'T')}Z` : stamp;
  const at = Date.parse(iso);
  return Number.isFinite(at) ? { at, stamp: stamp.slice(0, 30) } : { at: null, stamp: null };
}
