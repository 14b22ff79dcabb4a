import type { VarietyInput, PlantingInput } from '@candid-leaf/contract';
import { idOf } from './ids.js';

/** The varieties; invented names. */
const variety = (name: string, more: Omit<VarietyInput, 'id' | 'name'>): VarietyInput => ({
  id: idOf(`variety ${name}`),
  name,
  ...more,
});

export const VARIETIES: VarietyInput[] = [
  variety('Signal Round', {
    crop: 'tomato',
    type: 'slicer',
    habit: 'indeterminate',
    daysToMaturity: 74,
    ripeColour: 'red',
    fruitG: 130,
    letters: 'VF',
  }),
  variety('Siding Cherry', {
    crop: 'tomato',
    type: 'cherry',
    habit: 'indeterminate',
    daysToMaturity: 62,
    ripeColour: 'red',
    fruitG: 14,
    splits: 'more',
    darkEnds: 'less',
  }),
  variety('Sleeper Plum', {
    crop: 'tomato',
    type: 'paste',
    habit: 'determinate',
    daysToMaturity: 76,
    ripeColour: 'red',
    fruitG: 80,
    darkEnds: 'more',
  }),
  variety('Junction Block', {
    crop: 'pepper',
    type: 'sweet',
    daysToMaturity: 84,
    ripeColour: 'red',
    fruitG: 170,
    darkEnds: 'more',
  }),
  variety('Whistle Hot', {
    crop: 'pepper',
    type: 'hot',
    daysToMaturity: 86,
    ripeColour: 'red',
    fruitG: 11,
    letters: 'TMV',
  }),
];

/** Plans for next year, with their warnings. */
export const PLANTINGS: PlantingInput[] = [
  {
    id: idOf('planting 2027 a'),
    year: 2027,
    placeId: idOf('wall bed'),
    varietyId: idOf('variety Signal Round'),
    crop: 'tomato',
    count: 4,
  },
  {
    id: idOf('planting 2027 b'),
    year: 2027,
    placeId: idOf('tunnel'),
    varietyId: idOf('variety Junction Block'),
    crop: 'pepper',
    count: 3,
  },
  {
    id: idOf('planting 2027 c'),
    year: 2027,
    placeId: idOf('fabric bags'),
    varietyId: idOf('variety Siding Cherry'),
    crop: 'tomato',
    count: 2,
  },
];
