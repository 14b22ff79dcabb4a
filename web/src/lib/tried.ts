import type { PlaceInput, PlantInput, RecordInput } from '@candid-leaf/contract';
import type { Crop, SignSeen } from '@candid-leaf/core/records';
import { addDays, type Day } from '@candid-leaf/core/units';

/** Where a plant grows, as far as a visitor is asked. */
export const TRIED_PLACES = {
  'small-pot': { label: 'In a pot under 10 L (2½ US gal)', name: 'Pot', volumeL: 7 },
  'large-pot': { label: 'In a larger pot', name: 'Large pot', volumeL: 20 },
  bed: { label: 'In a bed', name: 'Bed', volumeL: null },
} as const;
/** One of these places. */
export type TriedPlace = keyof typeof TRIED_PLACES;

/** How often a visitor waters, and every how many days that is; null: not sure. */
export const TRIED_RHYTHMS = {
  daily: { label: 'Every day', everyDays: 1 },
  'every-other': { label: 'Every other day', everyDays: 2 },
  'twice-a-week': { label: 'Twice a week', everyDays: 3 },
  weekly: { label: 'Once a week or less', everyDays: 7 },
  unsure: { label: 'Not sure', everyDays: null },
} as const;
/** One of these rhythms. */
export type TriedRhythm = keyof typeof TRIED_RHYTHMS;

/** What a visitor said of one plant. */
export interface Tried {
  crop: Crop;
  place: TriedPlace;
  rhythm: TriedRhythm;
  day: Day;
  signs: SignSeen[];
}

/** Survives a reload and a sign-up, in this tab only: nothing is sent. */
const KEPT = 'candid-leaf:tried';

/** Returns what was said in this tab; null: nothing yet. */
export function triedHere(): Tried | null {
  const text = sessionStorage.getItem(KEPT);
  return text === null ? null : (JSON.parse(text) as Tried);
}

/** Keeps what was said for this tab; null forgets it. */
export function noteTried(tried: Tried | null): void {
  if (tried) sessionStorage.setItem(KEPT, JSON.stringify(tried));
  else sessionStorage.removeItem(KEPT);
}

const SOUTHERN =
  /^(Australia|Antarctica)\/|Auckland|Johannesburg|Harare|Sao_Paulo|Buenos_Aires|Santiago|Montevideo|Asuncion|Lima$/;
/** Middle of where most people garden. The season depends on the half of the earth only. */
const USUAL_LATITUDE = 45;
/** Days of watering that the answer looks back on. */
const LOOKED_BACK_DAYS = 14;

const madeOf = (place: TriedPlace): Pick<PlaceInput, 'kind' | 'texture'> & { volumeL?: number } => {
  const { volumeL } = TRIED_PLACES[place];
  return volumeL === null
    ? { kind: 'ground', texture: 'loam' }
    : { kind: 'container', texture: 'potting-mix', volumeL };
};

/**
 * Returns a case file of what a visitor said: the signs, and waterings of unknown amount in the rhythm they named. Without
 * a rhythm nothing is recorded of water.
 * @param timeZone tells the half of the earth
 */
export function caseOfTried({ crop, place, rhythm, day, signs }: Tried, timeZone: string): object {
  const { everyDays } = TRIED_RHYTHMS[rhythm];
  const waterings =
    everyDays === null
      ? []
      : Array.from({ length: Math.floor(LOOKED_BACK_DAYS / everyDays) }, (_, i) => ({
          date: addDays(day, -1 - i * everyDays),
        }));
  return {
    format: 'candid-leaf-case',
    version: 1,
    asOf: day,
    garden: {
      latitude: SOUTHERN.test(timeZone) ? -USUAL_LATITUDE : USUAL_LATITUDE,
      longitude: 0,
      elevationM: 100,
    },
    place: madeOf(place),
    plant: { crop, name: nameOf(crop) },
    records: { watering: waterings },
    observations: signs.map((sign) => ({ date: day, ...sign })),
  };
}

const nameOf = (crop: Crop): string => (crop === 'tomato' ? 'Your tomato' : 'Your pepper');

/** Returns what makes it the first plant of a garden: its bed or pot, the plant, and what was seen. */
export function inputsOf(
  { crop, place, day, signs }: Tried,
  ids: { place: string; plant: string; look: string },
): { place: PlaceInput; plant: PlantInput; look: RecordInput } {
  return {
    place: { id: ids.place, name: TRIED_PLACES[place].name, ...madeOf(place) },
    plant: { id: ids.plant, placeId: ids.place, name: nameOf(crop).replace('Your', 'First'), crop },
    look: {
      id: ids.look,
      type: 'inspection',
      plantId: ids.plant,
      data: { date: day, allClear: false, signs },
    },
  };
}
