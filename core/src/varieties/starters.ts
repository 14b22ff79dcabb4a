import type { Variety } from './variety.js';

/**
 * Varieties by type as a shop sorts them, without trade names: a starting point to edit (common practice, from
 * memory).
 */
interface StarterVariety extends Variety {
  code: string;
}

/** Common varieties to start from. */
export const STARTER_VARIETIES: readonly StarterVariety[] = [
  {
    code: 'cherry',
    name: 'Cherry tomato',
    crop: 'tomato',
    type: 'cherry',
    habit: 'indeterminate',
    daysToMaturity: 62,
    ripeColour: 'red',
    fruitG: 15,
    splits: 'more',
    darkEnds: 'less',
  },
  {
    code: 'slicer',
    name: 'Round tomato',
    crop: 'tomato',
    type: 'slicer',
    habit: 'indeterminate',
    daysToMaturity: 75,
    ripeColour: 'red',
    fruitG: 140,
  },
  {
    code: 'bush',
    name: 'Bush tomato',
    crop: 'tomato',
    type: 'slicer',
    habit: 'determinate',
    daysToMaturity: 65,
    ripeColour: 'red',
    fruitG: 110,
  },
  {
    code: 'paste',
    name: 'Paste tomato',
    crop: 'tomato',
    type: 'paste',
    habit: 'determinate',
    daysToMaturity: 76,
    ripeColour: 'red',
    fruitG: 80,
    darkEnds: 'more',
  },
  {
    code: 'beefsteak',
    name: 'Beefsteak tomato',
    crop: 'tomato',
    type: 'beefsteak',
    habit: 'indeterminate',
    daysToMaturity: 85,
    ripeColour: 'red',
    fruitG: 350,
    splits: 'more',
    heatSet: 'less',
    coldSet: 'less',
  },
  {
    code: 'block-pepper',
    name: 'Block pepper',
    crop: 'pepper',
    type: 'sweet',
    daysToMaturity: 85,
    ripeColour: 'red',
    fruitG: 180,
    darkEnds: 'more',
  },
  {
    code: 'pointed-pepper',
    name: 'Pointed sweet pepper',
    crop: 'pepper',
    type: 'sweet',
    daysToMaturity: 75,
    ripeColour: 'red',
    fruitG: 90,
  },
  {
    code: 'chilli',
    name: 'Hot pepper',
    crop: 'pepper',
    type: 'hot',
    daysToMaturity: 85,
    ripeColour: 'red',
    fruitG: 12,
    heatSet: 'more',
  },
  {
    code: 'superhot',
    name: 'Very hot pepper',
    crop: 'pepper',
    type: 'superhot',
    daysToMaturity: 110,
    ripeColour: 'orange',
    fruitG: 8,
  },
];
