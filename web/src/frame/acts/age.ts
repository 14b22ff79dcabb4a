import type { GardenView, PlantInput } from '@candid-leaf/contract';
import type { Crop } from '@candid-leaf/core/records';
import { usualPlanting } from '@candid-leaf/core/growth';
import { addDays } from '@candid-leaf/core/units';

/** A plant's age as people say it. */
export type Age = 'today' | 'spring' | 'half' | 'bearing';

/** Days since planting of a plant that is half grown (judgement). */
const HALF_GROWN_DAYS = 35;
/** Days since planting of a plant that bears, at least (common practice: first fruit set in the sixth week). */
const BEARING_DAYS = 50;

/**
 * Returns the planting day and stage of an age as people say it; a day that was not said is marked as a guess.
 * @example plantedAs('today', garden, 'tomato') // { transplantedOn: garden.today }
 */
export function plantedAs(
  age: Age,
  garden: GardenView['garden'],
  crop: Crop,
): Pick<PlantInput, 'transplantedOn' | 'plantedAbout' | 'stage'> {
  const { today } = garden;
  if (age === 'today') return { transplantedOn: today };
  const usual = usualPlanting(crop, { garden: { ...garden, seasonMode: garden.seasonMode ?? undefined }, asOf: today });
  const ago = (days: number): string => addDays(today, -days);
  if (age === 'half') return { transplantedOn: ago(HALF_GROWN_DAYS), plantedAbout: true };
  if (age === 'spring') return { transplantedOn: usual, plantedAbout: true };
  const early = ago(BEARING_DAYS);
  return { transplantedOn: usual < early ? usual : early, plantedAbout: true, stage: 'fruiting' };
}
