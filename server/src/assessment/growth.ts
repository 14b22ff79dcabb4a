import { weatherInPlace, type WeatherDay } from '@candid-leaf/core/climate';
import { growthNote, growthOf, type Growth, type GrowthNote } from '@candid-leaf/core/growth';
import { isPotted, type Stage } from '@candid-leaf/core/records';
import type { GrowthDto } from '@candid-leaf/contract';
import { roundTo } from '@candid-leaf/core/units';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import type { RecordEntity } from '../records/record.entity.js';
import { recordsOfPlant } from './own-records.js';
import { kept, plantStamp } from './stamps.js';
import { measuredIn } from './weather-lists.js';
import type { GardenSnapshot } from './snapshots.service.js';

/** A height this uncertain, as a share of itself, is worth a question; a small plant's changes no advice (judgement). */
const ASK_HEIGHT_FROM = 0.2;
const ASK_ABOVE_M = 0.4;

/** Returns what was seen of a plant's growth: in its form, and in its records. */
function notesOf(plant: PlantEntity, records: readonly RecordEntity[], today: string): GrowthNote[] {
  const notes = records.flatMap((r) => growthNote(r as Parameters<typeof growthNote>[0]) ?? []);
  const { stage, heightM } = plant;
  // without its day a young stage is that of planting day; anything else was never dated, and counts today
  const young = stage === 'seedling' || stage === 'establishing';
  const date = plant.seenOn ?? (young && plant.transplantedOn ? plant.transplantedOn : today);
  if (stage === null && heightM === null) return notes;
  // first of its day: what was recorded that day was seen on a plant that its form already described
  return [{ date, ...(stage ? { stage } : {}), ...(heightM !== null ? { heightM } : {}) }, ...notes];
}

/** Returns the measured weather where a bed or pot stands. */
const weatherAt = (s: GardenSnapshot, place: PlaceEntity): readonly WeatherDay[] =>
  kept(
    s,
    `weather ${place.id}`,
    [s.today, s.garden.version, s.kept.weatherRevision, s.kept.stampOf(), place.revision].join(' '),
    () => measuredIn(s).map((w) => weatherInPlace(place, w, s.garden)),
  );

/** Returns what was seen of a plant's growth. */
export const growthNotesIn = (s: GardenSnapshot, plant: PlantEntity): readonly GrowthNote[] =>
  notesOf(plant, recordsOfPlant(s, plant), s.today);

/** Returns the growth of a plant on the garden's day. */
export const growthIn = (s: GardenSnapshot, plant: PlantEntity, place: PlaceEntity): Growth =>
  kept(s, `growth ${plant.id}`, plantStamp(s, plant, place), () => {
    const { crop, habit, type, transplantedOn, plantedAbout, start } = plant;
    return growthOf({
      asOf: s.today,
      garden: s.garden,
      plant: {
        crop,
        habit,
        type,
        transplantedOn,
        plantedAbout,
        start,
        daysToMaturity: s.varietyOf(plant)?.daysToMaturity,
      },
      potL: isPotted(place) ? place.volumeL : null,
      weather: weatherAt(s, place),
      notes: growthNotesIn(s, plant),
    });
  });

/** Returns stage and height as advice reads them; nothing is made up for a plant of which only the season is known. */
export const sizeOf = (growth: Growth): { stage: Growth['stage']; heightM: number | null } =>
  growth.from === 'season'
    ? { stage: null, heightM: null }
    : { stage: growth.stage, heightM: roundTo(growth.heightM, 2) };

/** Returns a plant's growth for its pages. */
export const growthDto = (growth: Growth): GrowthDto => ({
  ...sizeOf(growth),
  stageChance: roundTo(growth.stageChance, 2),
  from: growth.from,
  seenOn: growth.seenOn,
  unsure: growth.unsure && { stage: growth.unsure.stage, chance: roundTo(growth.unsure.chance, 2) },
  askHeight: growth.heightM > ASK_ABOVE_M && growth.heightSdM / growth.heightM > ASK_HEIGHT_FROM,
});

/** Returns stage and height of a plant as advice reads them. */
export function sizeIn(s: GardenSnapshot, plant: PlantEntity): ReturnType<typeof sizeOf> {
  const place = s.places.find((p) => p.id === plant.placeId);
  return place ? sizeOf(growthIn(s, plant, place)) : { stage: null, heightM: null };
}

/** Returns the stage of a plant as advice reads it. */
export const stageIn = (s: GardenSnapshot, plant: PlantEntity): Stage | null => sizeIn(s, plant).stage;

/** Returns how far a plant is: 1 at its first ripe fruit. */
export function progressIn(s: GardenSnapshot, plant: PlantEntity): number {
  const place = s.places.find((p) => p.id === plant.placeId);
  return place ? growthIn(s, plant, place).progress : 0;
}
