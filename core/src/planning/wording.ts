import type { Formatter } from '../units/formatter.js';
import type { Band, DateKind } from './dates.js';

/** What stands on the year line. */
export const DATE_WORDS: Record<DateKind, string> = {
  sow: 'Sow',
  'pot-on': 'Pot on',
  'last-frost': 'Last frost',
  harden: 'Harden off',
  'plant-out': 'Plant out',
  mulch: 'Mulch',
  'first-fruit': 'First ripe fruit',
  'last-planting': 'Last safe planting',
  'second-sowing': 'Sow a second crop',
  'last-feed': 'Last nitrogen',
  top: 'Take the top off',
  'first-frost': 'First frost',
};

/** "about 25 April to 16 May", "set out on 6 May", "by 30 July". */
export function bandInWords(b: Band, f: Formatter): string {
  if (b.done) return `done on ${f.day(b.done)}`;
  if (b.what === 'last-planting' || b.what === 'second-sowing') return `by ${f.day(b.to)}`;
  return b.from === b.to ? `on ${f.day(b.from)}` : `${f.day(b.from)} to ${f.day(b.to)}`;
}
