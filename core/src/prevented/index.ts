export { CHANGE_CODES, type ChangeCode } from './changes.js';
export { type PlaceOfCase, type Prevention, whatWouldHavePrevented } from './prevented.js';
export { preventedInWords, RULES_IN_WORDS } from './wording.js';
