export { CHANGE_CODES, type ChangeCode } from './changes.js';
export { type Habit, habitOf, type PreventedThen } from './habit.js';
export { type PlaceOfCase, type Prevention, whatWouldHavePrevented } from './prevented.js';
export { habitInWords, preventedInWords, RULES_IN_WORDS } from './wording.js';
