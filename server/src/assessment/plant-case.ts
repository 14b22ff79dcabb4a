import type { ForecastWeather } from '@candid-leaf/core/water';
import {
  CASE_LISTS,
  isPotted,
  observationsOf,
  tidyRecords,
  type CaseRecords,
  type Happening,
  type Inspection,
  type VarietyTendencies,
  type PlantCase,
} from '@candid-leaf/core/records';
import { shieldsFrom } from '@candid-leaf/core/varieties';
import type { VarietyEntity } from '../varieties/variety.entity.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import type { RecordEntity } from '../records/record.entity.js';
import { rainOf, type WeatherOfDay } from '../weather/weather-days.js';
import { livePlantsIn, type GardenSnapshot } from './snapshots.service.js';

const MOST_AREA_M2 = 1;

/** Returns the soil of one plant in a bed: the bed's ground shared by its plants. */
function areaPerPlant(place: PlaceEntity, plants: number): number | null {
  if (isPotted(place) || place.lengthM == null || place.widthM == null) return null;
  return Math.min(MOST_AREA_M2, (place.lengthM * place.widthM) / Math.max(1, plants));
}

/** Returns a plant's records: its own, and its bed's since it grows there; none later than today. */
export function recordsOfPlant(s: GardenSnapshot, plant: PlantEntity): RecordEntity[] {
  const since = plant.transplantedOn;
  return [...s.recordsOf(plant.id), ...s.recordsOf(plant.placeId).filter((r) => !since || r.day >= since)]
    .filter((r) => r.day <= s.today)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.id < b.id ? -1 : 1));
}

const pickingsAsEvents = (records: readonly RecordEntity[]): Happening[] =>
  records.filter((r) => r.type === 'picking').map((r) => ({ date: r.day, what: 'harvest' }));

/** Builds one plant's case from the garden's records, up to the garden's day. */
export function plantCaseOf(s: GardenSnapshot, plant: PlantEntity, place: PlaceEntity): PlantCase {
  const { garden, today } = s;
  const mine = recordsOfPlant(s, plant);
  const lists = Object.fromEntries(
    CASE_LISTS.map(({ kind, list }) => [list, mine.filter((r) => r.type === kind).map((r) => r.data)]),
  ) as Partial<CaseRecords>;
  const weather = measuredIn(s);
  return {
    asOf: today,
    garden: {
      latitude: garden.latitude,
      longitude: garden.longitude,
      elevationM: garden.elevationM,
      lastFrost: garden.lastFrost,
      firstFrost: garden.firstFrost,
      ...(garden.seasonMode ? { seasonMode: garden.seasonMode } : {}),
    },
    place: {
      kind: place.kind,
      texture: place.texture,
      cover: place.cover,
      vents: place.vents,
      hollow: place.hollow,
      sunHours: place.sunHours,
      lowEnd: place.lowEnd,
      slope: place.slope,
      windy: place.windy,
      footpath: place.footpath,
      roomTMinC: place.roomTMinC,
      roomTMaxC: place.roomTMaxC,
      fillingCm: place.fillingCm,
      volumeL: place.volumeL,
      potMaterial: place.potMaterial,
      areaM2: areaPerPlant(place, livePlantsIn(s, place.id).length),
      mulch: place.mulch,
      shade: place.shade,
      drainageMmPerH: place.drainageMmPerH,
      soilTest: place.soilTest,
      history: [...place.history, ...(place.grown ?? [])],
    },
    plant: {
      crop: plant.crop,
      name: plant.name,
      habit: plant.habit,
      type: plant.type,
      stage: plant.stage,
      transplantedOn: plant.transplantedOn,
      heightM: plant.heightM,
      spacingM: plant.spacingM,
      tendencies: tendenciesOf(s.varietyOf(plant)),
      resistantTo: [...new Set([...plant.resistantTo, ...shieldsFrom(s.varietyOf(plant)?.letters, plant.crop)])],
    },
    // in a case, picked fruit is one of the events
    records: tidyRecords({ ...lists, events: [...(lists.events ?? []), ...pickingsAsEvents(mine)], weather }, today),
    observations: observationsOf(mine.filter((r) => r.type === 'inspection').map((r) => r.data as Inspection)),
  };
}

const tendenciesOf = (variety: VarietyEntity | undefined): VarietyTendencies | null =>
  variety
    ? { heatSet: variety.heatSet, coldSet: variety.coldSet, splits: variety.splits, darkEnds: variety.darkEnds }
    : null;

/** Returns a day's weather as the core reads it; the gardener's gauge overrides the station. */
const asRecord = (w: WeatherOfDay) => ({
  date: w.day,
  tMinC: w.tMinC,
  tMaxC: w.tMaxC,
  rainMm: rainOf(w),
  rhMeanPct: w.rhMeanPct,
  windMs: w.windMs,
  solarMj: w.solarMj,
});

/** Lists derived from a garden's weather: shared by all its plants while that weather is current. */
const perWeather = <T>(make: (s: GardenSnapshot) => T): ((s: GardenSnapshot) => T) => {
  const known = new WeakMap<GardenSnapshot['weather'], { today: string; list: T }>();
  return (s) => {
    const held = known.get(s.weather);
    if (held?.today === s.today) return held.list;
    const list = make(s);
    known.set(s.weather, { today: s.today, list });
    return list;
  };
};

/** Returns measured days up to the garden's day. */
const measuredIn = perWeather((s) => s.weather.filter((w) => w.kind === 'observed' && w.day <= s.today).map(asRecord));

/** Returns all known days, measured or forecast, in order. */
export const weatherIn = perWeather((s): readonly ReturnType<typeof asRecord>[] => s.weather.map(asRecord));

/** Returns forecast days after the garden's day. */
export const forecastIn = perWeather((s): readonly ForecastWeather[] =>
  s.weather
    .filter((w) => w.kind === 'forecast' && w.day > s.today)
    .map((w) => ({ ...asRecord(w), rainChancePct: w.rainChancePct })),
);
