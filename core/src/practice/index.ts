export * from './calibration.js';
export { choicesOf, type Choices } from './choices.js';
export { afterChecks, drawPractice, type Practice, shows } from './draw.js';
export { type CheckMade, type Guess, judge, type Judged } from './judge.js';
export { CHECK_MINUTES } from './prices.js';
export { type Answered as PracticeAnswered, nextPractice } from './next.js';
export { isSeed, MOST_SEED, PRACTICE_THEMES, type PracticeTheme, THEMES } from './themes.js';
export type { Truth } from './truth.js';
