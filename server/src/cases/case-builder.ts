import type { Inspection, RecordData, RecordType, WateringEntry } from '@candid-leaf/contract';
import {
  litresFromMinutes,
  observationsOf,
  type CaseFile,
  type Feeding,
  type ForecastWeather,
  type Happening,
  type PotWeight,
  type Pruning,
  type SoilCheck,
  type Spraying,
} from '@candid-leaf/core';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import type { GardenBook } from './garden-book.js';

/** The soil that one plant of a bed has to itself: the bed's ground shared among those that stand in it. */
function areaPerPlant(place: PlaceEntity, plants: number): number | null {
  if (place.kind === 'container' || place.lengthM == null || place.widthM == null) return null;
  return (place.lengthM * place.widthM) / Math.max(1, plants);
}

const DEFAULT_AREA_CAP_M2 = 1;

/** One plant's case as the records of the garden tell it, up to the garden's day. */
export function caseOf(book: GardenBook, plant: PlantEntity): CaseFile {
  const place = book.places.find((p) => p.id === plant.placeId)!;
  const neighbours = book.plants.filter((p) => p.placeId === place.id && !p.retiredOn).length;
  const { garden, today } = book;
  const mine = book.records.filter(
    (r) =>
      r.day <= today &&
      (r.plantId === plant.id || (r.placeId === place.id && (!plant.transplantedOn || r.day >= plant.transplantedOn))),
  );
  const of = <D extends RecordData>(type: RecordType): D[] =>
    mine.filter((r) => r.type === type).map((r) => r.data as D);
  const area = areaPerPlant(place, neighbours);
  return {
    format: 'candid-leaf-case',
    version: 1,
    asOf: today,
    garden: {
      latitude: garden.latitude,
      longitude: garden.longitude,
      elevationM: garden.elevationM,
      lastFrost: garden.lastFrost,
      firstFrost: garden.firstFrost,
    },
    place: {
      kind: place.kind,
      texture: place.texture,
      volumeL: place.volumeL,
      potMaterial: place.potMaterial,
      areaM2: area === null ? null : Math.min(area, DEFAULT_AREA_CAP_M2),
      mulch: place.mulch,
      shade: place.shade,
      drainageMmPerH: place.drainageMmPerH,
      soilTest: place.soilTest,
      history: place.history,
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
      resistantTo: plant.resistantTo,
    },
    records: {
      weather: book.weather
        .filter((w) => w.kind === 'observed' && w.day <= today)
        .map((w) => ({
          date: w.day,
          tMinC: w.tMinC,
          tMaxC: w.tMaxC,
          rainMm: w.gaugeMm ?? w.rainMm,
          rhMeanPct: w.rhMeanPct,
          windMs: w.windMs,
          solarMj: w.solarMj,
        })),
      watering: of<WateringEntry>('watering').map((w) => ({
        date: w.date,
        litres:
          w.minutes != null && place.flowLPerH
            ? litresFromMinutes(w.minutes, place.flowLPerH, Math.max(1, neighbours))
            : w.litres,
        ...(w.how ? { how: w.how } : {}),
        ...(w.end ? { end: w.end } : {}),
      })),
      soilChecks: of<SoilCheck>('soil-check'),
      potWeights: of<PotWeight>('pot-weight'),
      feeding: of<Feeding>('feeding'),
      pruning: of<Pruning>('pruning'),
      sprays: of<Spraying>('spray'),
      events: of<Happening>('event'),
    },
    observations: observationsOf(of<Inspection>('inspection')),
  };
}

export const forecastOf = (book: GardenBook): ForecastWeather[] =>
  book.weather
    .filter((w) => w.kind === 'forecast' && w.day > book.today)
    .map((w) => ({
      date: w.day,
      tMinC: w.tMinC,
      tMaxC: w.tMaxC,
      rainMm: w.rainMm,
      rainChancePct: w.rainChancePct,
      rhMeanPct: w.rhMeanPct,
      windMs: w.windMs,
      solarMj: w.solarMj,
    }));
