import { disorderRow } from '../diagnosis/tables/disorders.js';
import { type Day, daysBetween } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import type { WalkReason } from './walk-due.js';

/** Returns why a walk is due, one reason in half a line. */
export function walkReasonInWords(r: WalkReason, today: Day, f: Formatter): string {
  switch (r.kind) {
    case 'home':
      return `you were away for ${r.days} ${r.days === 1 ? 'day' : 'days'}, until ${f.day(r.until)}: check the pots first`;
    case 'storm':
      return `wind of ${f.windSpeed(r.windMs)} is forecast ${r.on === today ? 'today' : `on ${f.day(r.on)}`}: check ties, stakes and cages, and pick what is ripe`;
    case 'frost':
      return `the night to ${f.day(r.on)} dropped to ${f.temperature(r.lowestC)}`;
    case 'wet':
      return `${r.days} wet days in a row, until ${f.day(r.until)}`;
    case 'heat':
      return `${r.days} hot days, up to ${f.temperature(r.hottestC)}, until ${f.day(r.until)}`;
    case 'new':
      return `planted on ${f.day(r.plantedOn)}: look daily for a week for limp leaves and cut stems`;
    case 'finding':
      return `${disorderRow(r.disorder).label.toLowerCase()} was found here two weeks ago: check that the other plants stayed healthy`;
    case 'rhythm': {
      if (r.lastOn === null) return 'no look at the whole bed is recorded yet';
      const days = daysBetween(r.lastOn, today);
      return days === 1 ? 'the daily glance' : `last looked over ${days} days ago`;
    }
  }
}
