import {
  CASE_LISTS,
  isPotted,
  observationsOf,
  tidyRecords,
  type CaseRecords,
  type Happening,
  type Inspection,
  type RecordType,
  type VarietyTendencies,
  type PlantCase,
} from '@candid-leaf/core/records';
import { hostsStanding } from '@candid-leaf/core/companions';
import { compostIn, holeCompost } from '@candid-leaf/core/soil';
import { shieldsFrom } from '@candid-leaf/core/varieties';
import { daysBetween } from '@candid-leaf/core/units';
import { makeWatering } from '@candid-leaf/core/water';
import type { VarietyEntity } from '../varieties/variety.entity.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { alikeOf } from '../plants/found.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import type { RecordEntity } from '../records/record.entity.js';
import { growthIn, sizeOf } from './growth.js';
import { compostDugOn, newestEvent } from './newest-event.js';
import { companionsIn, recordsOfPlant, supportIn } from './own-records.js';
import { flowOf, timedWaterings } from './timed.js';
import { measuredIn } from './weather-lists.js';
import { livePlantsIn, type GardenSnapshot } from './snapshots.service.js';

const MOST_AREA_M2 = 1;

/** Returns the soil of one plant in a bed: the bed's ground shared by its plants. */
function areaPerPlant(place: PlaceEntity, plants: number): number | null {
  if (isPotted(place) || place.lengthM == null || place.widthM == null) return null;
  return Math.min(MOST_AREA_M2, (place.lengthM * place.widthM) / Math.max(1, plants));
}

const EVENT_OF: Partial<Record<RecordType, Happening['what']>> = { picking: 'harvest', support: 'staked' };
/** Returns picked fruit and supports as events. */
const otherEvents = (records: readonly RecordEntity[]): Happening[] =>
  records.flatMap((r) => {
    const what = EVENT_OF[r.type];
    return what ? [{ date: r.day, what }] : [];
  });

/** Builds one plant's case from the garden's records, up to the garden's day. */
export function plantCaseOf(s: GardenSnapshot, plant: PlantEntity, place: PlaceEntity): PlantCase {
  const { garden, today } = s;
  const mine = recordsOfPlant(s, plant);
  const lists = Object.fromEntries(
    CASE_LISTS.map(({ kind, list }) => [list, mine.filter((r) => r.type === kind).map((r) => r.data)]),
  ) as Partial<CaseRecords>;
  const growing = livePlantsIn(s, place.id).length;
  // minutes noted before the flow was measured count once it is
  const flow = flowOf(s, place);
  const watering = (lists.watering ?? []).map((w) =>
    w.litres == null && w.minutes != null ? makeWatering(flow, w) : w,
  );
  const support = supportIn(mine);
  const weather = measuredIn(s);
  const timed = timedWaterings(s, place, plant.transplantedOn ?? weather[0]?.date ?? today, today);
  const alike = alikeOf(s.plants, plant, today);
  const size = sizeOf(growthIn(s, plant, place));
  return {
    asOf: today,
    garden: {
      latitude: garden.latitude,
      longitude: garden.longitude,
      elevationM: garden.elevationM,
      lastFrost: garden.lastFrost,
      firstFrost: garden.firstFrost,
      ...(garden.seasonMode ? { seasonMode: garden.seasonMode } : {}),
      ...(garden.climate ? { climate: garden.climate } : {}),
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
      areaM2: areaPerPlant(place, growing),
      mulch: place.mulch,
      shade: place.shade,
      ...(place.roofed ? { roofed: place.roofed } : {}),
      ...compostIn(compostDugOn(s, place.id), today),
      ...holeCompost(newestEvent(s, plant.id, 'compost-in-hole'), today),
      ...(hostsStanding(companionsIn(s, place.id)) ? { hostsNear: true } : {}),
      drainageMmPerH: place.drainageMmPerH,
      soilTest: place.soilTest,
      history: [...place.history, ...(place.grown ?? [])],
    },
    plant: {
      crop: plant.crop,
      name: plant.name,
      habit: plant.habit,
      type: plant.type,
      stage: size.stage,
      transplantedOn: plant.transplantedOn,
      heightM: size.heightM,
      ...(support ? { support } : {}),
      ...(isSinceStart(plant) ? { sinceStart: true } : {}),
      spacingM: plant.spacingM,
      ...(alike ? { alike } : {}),
      tendencies: tendenciesOf(s.varietyOf(plant)),
      resistantTo: [...new Set([...plant.resistantTo, ...shieldsFrom(s.varietyOf(plant)?.letters, plant.crop)])],
    },
    // in a case, picked fruit is one of the events
    records: tidyRecords(
      {
        ...lists,
        watering: [...watering, ...timed],
        events: [...(lists.events ?? []), ...otherEvents(mine)],
        weather,
      },
      today,
    ),
    observations: observationsOf(mine.filter((r) => r.type === 'inspection').map((r) => r.data as Inspection)),
  };
}

/** Days after planting within which a plant counts as entered when it was planted. */
const AT_PLANTING_DAYS = 7;

/** Returns whether a plant was entered when it was planted, so that its records are whole. */
export const isSinceStart = ({ enteredOn, transplantedOn, plantedAbout }: PlantEntity): boolean =>
  enteredOn !== null &&
  transplantedOn !== null &&
  plantedAbout !== true &&
  daysBetween(transplantedOn, enteredOn) <= AT_PLANTING_DAYS;

const tendenciesOf = (variety: VarietyEntity | undefined): VarietyTendencies | null =>
  variety
    ? { heatSet: variety.heatSet, coldSet: variety.coldSet, splits: variety.splits, darkEnds: variety.darkEnds }
    : null;
