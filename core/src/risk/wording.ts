import { disorderRow } from '../diagnosis/tables/disorders.js';
import type { Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import type { ComingRisk } from './coming.js';
import type { PreventiveAct } from './rows.js';

const ACTS: Readonly<Record<PreventiveAct, string>> = {
  'water-as-planned': 'water as planned, so that the soil stays even',
  'pick-ripe': 'pick what has begun to colour; it ripens indoors',
  'shade-now': 'hang shade cloth over the fruit, and cut no leaves',
  'shake-early': 'shake the flowers in the cool of the morning',
  'look-under-leaves': 'look under the leaves for pale dots, and rinse dust off in the morning',
  'keep-leaves-dry': 'look for greasy brown blotches, and keep water off the leaves',
  'low-leaves-off': 'look the lowest leaves over, and take spotted ones off on a dry day',
  'air-out': 'air the tunnel or glasshouse from morning on, and remove dead leaves',
  'cover-for-frost': 'cover it in the evening',
};

/** What is coming, in words: the problem with its day, the act with its day, and the rule behind it. */
export interface ComingInWords {
  name: string;
  what: string;
  act: string;
  why: string;
}

/**
 * Returns a coming risk in words.
 * @param today decides between "today" and a date
 */
export function comingInWords(r: ComingRisk, today: Day, f: Formatter): ComingInWords {
  const row = disorderRow(r.disorder);
  const day = (d: Day): string => (d <= today ? 'today' : f.day(d));
  return {
    name: row.label,
    what: `${row.label}, from ${day(r.on)}`,
    act: `${r.actOn <= today ? 'Today' : `On ${f.day(r.actOn)}`}: ${ACTS[r.act]}${r.litres ? ` (${f.litres(r.litres)})` : ''}.`,
    why: r.times === null ? r.rule : `${r.rule}: ${r.times} times likelier than usual`,
  };
}
