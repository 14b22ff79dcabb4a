import type { PlaceKind, Texture } from '../records/place.js';
import { isPotted } from '../records/place.js';
import { CAUTIONS } from '../records/vocabulary/cautions.js';
import type { StarterMethod } from '../nutrition/feed-plan.js';
import type { Crop, GrowthHabit } from '../records/plant.js';
import { addDays, type Day, daysBetween } from '../units/day.js';

// Planting day and the weeks after it. Source: common practice; rows from memory say so.

/** What planting a seedling depends on. */
export interface PlantingDay {
  crop: Crop;
  habit: GrowthHabit | null;
  place: { kind: PlaceKind; underCover: boolean; texture?: Texture };
  /** the chosen way of feeding at planting; null: none chosen */
  starter: StarterMethod | null;
  /** the soil is bone dry, felt or estimated */
  boneDry: boolean;
  /** the soil is warm enough for mulch */
  soilWarm: boolean;
}

/** Practice differs about feed in the hole; the label says how much. */
const STARTERS: Record<StarterMethod | 'none', string> = {
  'compost-balanced': 'Two handfuls of compost in the hole, and a balanced feed by the label, not touching the roots.',
  'nitrogen-led': 'No feed in the hole. Add a little nitrogen to the water once new leaves show, by the label.',
  'phosphorus-led': 'Mix in a high-phosphorus starter feed by the label, below the roots and not touching them.',
  'by-test': 'Add only what the soil test lacks, by the label.',
  none: 'If you feed, follow the label: mix it in below the roots, not touching them.',
};

/** Soils that let water through: compost in the hole keeps some near the young roots (common practice). */
const HOLDS_LITTLE: ReadonlySet<Texture> = new Set(['sand', 'loamy-sand', 'sandy-loam']);

/** Returns the steps of the day, in order. */
export function plantingSequence(q: PlantingDay): string[] {
  const pot = isPotted(q.place);
  const hole =
    q.crop === 'tomato'
      ? pot
        ? 'Fill the pot by a third. Set the plant deep, up to its first leaves, and fill round it.'
        : 'Dig a hole as deep as the stem up to its first leaves, or lay a long plant in a trench.'
      : 'Dig a hole as deep as its pot: a pepper stands no deeper than before.';
  return [
    'In the evening, or on a dull day. Soak its pot an hour before.',
    hole,
    ...(q.boneDry ? [`Bone dry: fill ${pot ? 'the pot' : 'the hole'} with water, let it drain, and repeat.`] : []),
    STARTERS[q.starter ?? 'none'],
    ...(!pot && q.starter !== 'by-test' && q.place.texture && HOLDS_LITTLE.has(q.place.texture)
      ? ['Sandy soil: mix two spades of ripe compost into the hole to hold water, and record it.']
      : []),
    q.crop === 'tomato'
      ? 'Remove the leaves that would be buried. Set it in and press lightly.'
      : 'Set it upright with its root ball whole, and press lightly.',
    ...(pot
      ? []
      : [`Optional: bury a bottle without its bottom beside it to water through. ${CAUTIONS['cut-bottle']}`]),
    support(q),
    'Water it in at its foot until the soil settles.',
    ...(q.place.underCover
      ? ['Open vents by day; close them before a cold night.']
      : ['Keep fleece ready for the first nights.']),
    q.soilWarm ? 'Mulch, a hand’s width from the stem.' : 'No mulch yet: let the soil warm first.',
  ];
}

function support(q: PlantingDay): string {
  if (q.crop === 'pepper') return 'Put in a short cane now, before there are roots to damage.';
  if (q.habit === 'determinate') return 'Put up the cage now, before there are roots to damage.';
  return q.place.underCover
    ? 'Fix the string now: under the root ball, or tied loosely above the first leaves.'
    : 'Put in the stake or string now, before there are roots to damage.';
}

/** Check for slugs and other nibblers until the plant is this tall, m (common practice). */
const NIBBLED_UNTIL_M = 0.3;
/** And no longer than it takes to establish, days (common practice: 1 to 4 weeks). */
const ESTABLISH_DAYS = 28;
const LOOK_EVERY_DAYS = 3;

/** Returns when to check for slugs and other nibblers; null once the plant has outgrown them. */
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
