import { FRUIT_AND_FLOWER } from './fruit-and-flower.js';
import { EACH_DRIVER } from './each-driver.js';
import { LIVING } from './living.js';
import { DOUBLES, PAIRS } from './pairs.js';
import { NEWCOMERS } from './later-signs.js';
import { RECORDS_DECIDE } from './records-decide.js';
import type { SampleCase } from './sample-case.js';
import { WRITTEN_BLIND } from './written-blind.js';
import { WATER_AND_FOOD } from './water-and-food.js';

/** Cases of our own from extension knowledge (from memory). `npm run cases` prints how they come out. */
export const SAMPLE_CASES: readonly SampleCase[] = [
  ...FRUIT_AND_FLOWER,
  ...WATER_AND_FOOD,
  ...LIVING,
  ...PAIRS,
  ...DOUBLES,
  ...RECORDS_DECIDE,
  ...NEWCOMERS,
  ...WRITTEN_BLIND,
  ...EACH_DRIVER,
];
