import type { GardenDto, PlaceDto, PlantDto, PlantView, RecordDto, WeatherDto } from '@candid-leaf/contract';
import {
  CASE_LISTS,
  type Inspection,
  type Observation,
  type PlantCase,
  type RecordData,
  type RecordType,
} from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';

const NO_CUTS: PlantView['cuts'] = {
  cuts: [],
  left: 0,
  backlog: 0,
  weeks: 0,
  hold: null,
  recorded: false,
  cleanBlades: false,
  clearToM: null,
  topOn: null,
  training: { training: 'leave-alone', because: 'unknown-habit' },
  chosen: false,
};
const NO_SUPPORT: PlantView['tending']['support'] = {
  kind: 'stake',
  because: 'fits',
  lengthM: 0,
  ties: 0,
  tieStringM: 0,
  tieOn: null,
  reTie: false,
  extraStake: false,
  lower: false,
  checkBefore: null,
  anchor: false,
};
const NOTHING_KNOWN: PlantView['stands'] = { limp: false, ailing: [], load: null, held: null };
const NOBODY = '00000000-0000-0000-0000-000000000000';

/** Turns a case into a plant's view, so the same page can show it. */
export function viewOfCase(
  plantCase: PlantCase,
  { report, prevented, coming }: Pick<PlantView, 'report' | 'prevented' | 'coming'>,
  reader: GardenDto,
): PlantView {
  const { garden, place, plant, records, observations, asOf } = plantCase;
  const given = CASE_LISTS.flatMap(({ kind, list }) => records[list].map((data, i) => recordOf(kind, i, data)));
  const looks = looksOf(observations).map((data, i) => recordOf('inspection', i, data));
  return {
    garden: { ...reader, ...garden, today: asOf },
    place: { ...place, ...OF_NOBODY, name: `a ${place.kind.replaceAll('-', ' ')}` } satisfies PlaceDto,
    plant: { ...plant, ...OF_NOBODY, placeId: NOBODY, name: plant.name || `A ${plant.crop}` } satisfies PlantDto,
    variety: null,
    // a case says its stage and height itself
    growth: {
      stage: plant.stage ?? null,
      stageChance: 1,
      heightM: plant.heightM ?? null,
      from: 'seen',
      seenOn: asOf,
      unsure: null,
      askHeight: false,
    },
    ended: null,
    report,
    prevented,
    coming,
    weather: records.weather.map(weatherOf),
    records: [...given, ...looks].sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : 0)),
    treatments: [],
    next: [],
    cuts: NO_CUTS,
    helped: {},
    tending: { support: NO_SUPPORT, tap: '' },
    stands: NOTHING_KNOWN,
    feeding: { plan: { kind: 'ask' }, text: '', story: null, outlook: null },
  };
}

const OF_NOBODY = { id: NOBODY, version: 1, position: 0, retiredOn: null } as const;

const recordOf = (type: RecordType, i: number, data: RecordData): RecordDto =>
  ({
    id: `${type}-${i}`,
    version: 1,
    type,
    day: data.date,
    plantId: NOBODY,
    placeId: null,
    data,
    createdAt: data.date,
  }) as RecordDto;

/** Turns signs of one day into one look. */
function looksOf(observations: readonly Observation[]): Inspection[] {
  const days = new Map<Day, Inspection>();
  for (const { date, ...sign } of observations) {
    const look = days.get(date) ?? { date, allClear: false, signs: [] };
    days.set(date, { ...look, signs: [...look.signs, sign] });
  }
  return [...days.values()];
}

const weatherOf = (w: PlantCase['records']['weather'][number]): WeatherDto => ({
  day: w.date,
  kind: 'observed',
  tMinC: w.tMinC,
  tMaxC: w.tMaxC,
  rainMm: w.rainMm,
  gauge: null,
  rainChancePct: null,
  rhMeanPct: w.rhMeanPct ?? null,
  windMs: w.windMs ?? null,
  solarMj: w.solarMj ?? null,
  wetHours: w.wetHours ?? null,
  nightC: w.nightC ?? null,
  source: null,
});
