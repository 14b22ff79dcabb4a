import type { CheckCode } from '../diagnosis/tables/checks.js';

/** Time a check takes in the garden, minutes of work (judgement; waiting for morning costs none). */
export const CHECK_MINUTES: Record<CheckCode, number> = {
  'finger-test': 1,
  'pot-weight': 1,
  'water-and-watch': 10,
  'look-at-dawn': 5,
  'shade-trial': 10,
  'look-under-leaves': 5,
  'shake-plant': 1,
  'paper-tap': 3,
  'look-after-dark': 15,
  'follow-ants': 3,
  'inspect-roots': 15,
  'cut-lower-stem': 10,
  'compare-old-and-new-leaves': 3,
  'compare-with-neighbours': 3,
  'which-side-faces-sun': 1,
  'smell-fruit': 2,
  'damp-bag': 5,
  'percolation-test': 30,
  'soil-test': 30,
  'wait-and-recheck': 5,
};
