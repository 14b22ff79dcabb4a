export * from './context.js';
export {
  CLEAR_FROM,
  type Diagnosis,
  type DiagnosisResult,
  type Evidence,
  type FoundDriver,
} from './engine/diagnose.js';
export type { NextCheck } from './engine/check-gains.js';
export type { CheckOutcome } from './engine/outcomes.js';
export type { Because } from './drivers/verdict.js';
export type { Dose } from './remedies/doses.js';
export type { Withheld } from './remedies/offer.js';
export type { Remedy } from './remedies/schedule.js';
export { doseInWords } from './remedies/wording.js';
export { CHECKS, checkRow, shownBy, type CheckCode, type CheckRow } from './tables/checks.js';
export { DISORDERS, disorderRow, type DisorderRow } from './tables/disorders.js';
export { REMEDIES, remedyRow, type RemedyCode, type RemedyRow } from './tables/remedies.js';
export { seriousnessOf, type Seriousness } from './severity.js';
export * from './vocabulary/drivers.js';
export {
  chanceWord,
  headline,
  heldBackInWords,
  NOTHING_RECORDED,
  sureness,
  unexplainedInWords,
  whyHere,
} from './wording.js';
