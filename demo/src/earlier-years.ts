import type { PlantEnd, PlantInput, RecordInput, SeasonNotesInput } from '@candid-leaf/contract';
import { addDays, type Day } from '@candid-leaf/core/units';
import { idOf } from './ids.js';

/** Two earlier seasons: a wilt in one bed, an early planting that gained nothing, and mulch that did. */
interface PastPlant {
  plant: PlantInput;
  endedOn: Day;
  because: PlantEnd;
}

const past = (
  name: string,
  place: string,
  transplantedOn: Day,
  endedOn: Day,
  because: PlantEnd,
  more: Partial<PlantInput> = {},
): PastPlant => ({
  plant: {
    id: idOf(name),
    placeId: idOf(place),
    name,
    crop: 'tomato',
    habit: 'indeterminate',
    type: 'slicer',
    stage: 'late',
    transplantedOn,
    heightM: 1.5,
    ...more,
  },
  endedOn,
  because,
});

export const PAST_PLANTS: PastPlant[] = [
  past('Branch Line', 'platform bed', '2024-05-08', '2024-08-09', 'disease'),
  past('Water Tower', 'platform bed', '2024-05-08', '2024-08-17', 'disease'),
  past('Milk Train', 'clay pots', '2024-05-12', '2024-10-20', 'frost', { type: 'cherry' }),
  // the same variety, three weeks apart: the early one stalled in cold soil
  past('Early Express', 'fabric bags', '2025-04-14', '2025-10-22', 'frost'),
  past('Late Express', 'fabric bags', '2025-05-06', '2025-10-22', 'frost'),
  past('Buffer Stop', 'clay pots', '2025-05-12', '2025-10-12', 'season-over', { type: 'paste', habit: 'determinate' }),
];

/** Weekly pickings from the first one on, g. */
const picks = (plant: string, first: Day, grams: readonly number[], lost: readonly number[] = []): RecordInput[] => [
  ...grams.map((g, i) => pick(plant, addDays(first, 7 * i), g)),
  ...lost.map((g, i) => pick(plant, addDays(first, 7 * i), g, true)),
];
const pick = (plant: string, date: Day, grams: number, binned = false): RecordInput => ({
  id: idOf(`picking ${plant} ${date} ${binned ? 'lost' : ''}`),
  type: 'picking',
  plantId: idOf(plant),
  placeId: null,
  data: {
    date,
    grams,
    ripeness: 'ripe',
    ...(binned ? { state: 'soft', use: 'binned' } : { state: 'sound', use: 'eaten' }),
  },
});

export const PAST_RECORDS: RecordInput[] = [
  ...picks('Branch Line', '2024-07-24', [350, 280], [240, 310]),
  ...picks('Water Tower', '2024-07-25', [300, 420, 150], [180, 260, 400]),
  ...picks('Milk Train', '2024-07-15', [180, 260, 300, 280, 320, 240, 200, 180, 120]),
  ...picks('Early Express', '2025-07-21', [260, 420, 480, 510, 380, 420, 300, 240, 160]),
  ...picks('Late Express', '2025-07-20', [280, 460, 520, 540, 420, 450, 320, 260, 180]),
  ...picks('Buffer Stop', '2025-07-30', [300, 620, 700, 340], [120]),
];

export const PAST_NOTES: SeasonNotesInput[] = [
  {
    id: idOf('notes 2024'),
    year: 2024,
    worked: 'The cherry in the pot, watered small and often.',
    change: 'Wilt took both tomatoes of the platform bed: no tomato there for years, or only varieties with V and F.',
  },
  {
    id: idOf('notes 2025'),
    year: 2025,
    worked: 'Straw on the pots from June: hardly a dark end on the paste tomato.',
    change: 'Planting on 14 April gained nothing: the one of 6 May ripened a day sooner and bore more.',
  },
];
