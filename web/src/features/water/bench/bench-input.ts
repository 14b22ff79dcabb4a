import { isPotted } from '@candid-leaf/core/records';
import { isRecordOf, type BenchDto, type PlantView } from '@candid-leaf/contract';
import type { BenchAsked } from '../../../workers/bench.worker';

/** Longest season to run, days. */
const MOST_DAYS = 200;

/** Returns what the worker needs of a plant. */
export function benchInputOf(
  { garden, place, plant, report, weather, records }: PlantView,
  { setUps, weather: from, years }: Pick<BenchDto, 'setUps' | 'weather' | 'years'>,
): BenchAsked {
  const groundM2 = report.water.daily.at(-1)?.groundM2;
  return {
    plant: {
      garden: {
        latitude: garden.latitude,
        longitude: garden.longitude,
        elevationM: garden.elevationM,
        lastFrost: garden.lastFrost ?? null,
        firstFrost: garden.firstFrost ?? null,
      },
      place: { ...place, areaM2: isPotted(place) ? null : (groundM2 ?? null) },
      plant,
      watering: records
        .filter((r) => isRecordOf(r, 'watering'))
        .map((r) => ({ ...r.data }))
        .reverse(),
    },
    setUps,
    recorded: weather
      .filter((w) => w.kind === 'observed' && (!plant.transplantedOn || w.day >= plant.transplantedOn))
      .map((w) => ({ ...w, date: w.day }))
      .slice(-MOST_DAYS),
    weather: from,
    years,
    plantedOn: plant.transplantedOn ?? null,
    year: Number(garden.today.slice(0, 4)),
  };
}
