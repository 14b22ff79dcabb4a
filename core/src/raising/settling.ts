import type { PlaceKind } from '../records/place.js';
import { isPotted } from '../records/place.js';
import type { StarterSchool } from '../nutrition/feed-plan.js';
import type { Crop, GrowthHabit } from '../records/plant.js';
import { addDays, type Day, daysBetween } from '../units/day.js';

/** Planting day and the weeks after it. Source: handbook ("Plant out", "Establish"); what is from memory says so. */

export interface PlantingDay {
  crop: Crop;
  habit: GrowthHabit | null;
  place: { kind: PlaceKind; underCover: boolean };
  /** by which school a starter is given; null: nobody chose one */
  starter: StarterSchool | null;
  /** the soil is bone dry, as it was felt or reckoned */
  boneDry: boolean;
  /** the soil is warm enough for mulch */
  soilWarm: boolean;
}

/** Schools differ about the hole; the label says how much. */
const STARTERS: Record<StarterSchool | 'none', string> = {
  'compost-balanced':
    'Two handfuls of compost in the hole, and a balanced feed as its label says, none against the roots.',
  'nitrogen-led': 'No feed in the hole: a little nitrogen with the water once new leaves show, as the label says.',
  'phosphorus-led': 'A starter rich in phosphorus as its label says, mixed in below the roots, none against them.',
  'by-test': 'In the hole only what the soil test lacks, as the label says.',
  none: 'Feed, if any, as its label says: mixed in below the roots, none against them.',
};

/** What is done on the day, in the order of the hands. */
export function plantingSequence(q: PlantingDay): string[] {
  const pot = isPotted(q.place);
  const hole =
    q.crop === 'tomato'
      ? pot
        ? 'Fill the pot by a third: the plant stands deep, up to its first leaves, and the mix comes round it.'
        : 'A hole as deep as the stem up to its first leaves, or a trench in which a long one is laid.'
      : 'A hole as deep as its pot: a pepper stands no deeper than it stood.';
  return [
    'In the evening, or on a dull day. Soak its pot an hour before.',
    hole,
    ...(q.boneDry ? [`Bone dry: fill ${pot ? 'the pot' : 'the hole'} with water, let it sink in, and once more.`] : []),
    STARTERS[q.starter ?? 'none'],
    q.crop === 'tomato'
      ? 'Take off the leaves that would lie in the soil; set it, and press it in lightly.'
      : 'Set it straight, its ball whole, and press it in lightly.',
    ...(pot ? [] : ['If you like: a bottle without its bottom, buried beside it, to water through.']),
    support(q),
    'Water it in until the soil has settled, this once even over the leaves.',
    ...(q.place.underCover
      ? ['Vents open by day; shut before a cold night.']
      : ['Fleece at hand for the first nights.']),
    q.soilWarm ? 'Mulch, a hand wide from the stem.' : 'No mulch yet: the soil is to warm first.',
  ];
}

function support(q: PlantingDay): string {
  if (q.crop === 'pepper') return 'A short cane now, while there is no root to hurt.';
  if (q.habit === 'determinate') return 'The cage now, while there is no root to hurt.';
  return q.place.underCover
    ? 'The string now: under the ball, or tied loosely above the first leaves.'
    : 'The stake or string now, while there is no root to hurt.';
}

/** Nibblers are looked for until a plant is so tall, m (handbook). */
export const NIBBLED_UNTIL_M = 0.3;
/** And no longer than the weeks in which it establishes (handbook: 1 to 4). */
const ESTABLISH_DAYS = 28;
const LOOK_EVERY_DAYS = 3;

/** When one looks for slugs and other nibblers; null where the plant is past it. */
export function nibblersOn(q: {
  plantedOn: Day | null;
  heightM: number | null;
  lookedOn: Day | null;
  today: Day;
}): Day | null {
  if (!q.plantedOn || daysBetween(q.plantedOn, q.today) > ESTABLISH_DAYS) return null;
  if (q.heightM !== null && q.heightM >= NIBBLED_UNTIL_M) return null;
  return q.lookedOn ? addDays(q.lookedOn, LOOK_EVERY_DAYS) : addDays(q.plantedOn, 1);
}
