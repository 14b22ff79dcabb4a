import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { SOIL_BORNE } from '../planning/rotation.js';

/** Closing the year: equipment to store (common practice). */
interface KitRow {
  code: string;
  label: string;
  how: string;
  /** only if something was diseased */
  afterDisease?: true;
}
const rows = <C extends string>(list: readonly (KitRow & { code: C })[]): readonly (KitRow & { code: C })[] => list;
/** What is put away at the end of a season, and how. */
export const KIT = rows([
  {
    code: 'string',
    label: 'String',
    how: 'Compost natural string with its plant; bin everything else.',
  },
  { code: 'ties', label: 'Ties and clips', how: 'Collected, washed and stored dry.' },
  { code: 'cages', label: 'Cages', how: 'Brushed clean and stacked.' },
  { code: 'stakes', label: 'Stakes and canes', how: 'Brushed clean, dried and stored under a roof.' },
  {
    code: 'pots',
    label: 'Pots and bags',
    how: 'Emptied and scrubbed; spread the mix on beds that will grow no tomatoes or peppers.',
  },
  { code: 'drip', label: 'Hoses and timer', how: 'Drained before frost; battery out of the timer.' },
  { code: 'cloth', label: 'Fleece and shade cloth', how: 'Dry, folded and safe from mice.' },
  { code: 'labels', label: 'Labels', how: 'Keep these until the season’s review is done.' },
  { code: 'soil', label: 'The soil', how: 'Covered with leaves, compost or a green manure, not left bare.' },
  {
    code: 'blades',
    label: 'Blades and stakes from sick plants',
    how: 'Cleaned with 70 % alcohol; stakes soaked, or replaced next year.',
    afterDisease: true,
  },
]);
/** Code of an item to put away. */
export type KitCode = (typeof KIT)[number]['code'];
/** Codes of all items to put away. */
export const KIT_CODES: KitCode[] = KIT.map((k) => k.code);

/** Returns the list for a season: with the row for sick plants only if there were any. */
export const kitFor = (disorders: readonly DisorderCode[]): (typeof KIT)[number][] =>
  KIT.filter((k) => !k.afterDisease || disorders.some((d) => SOIL_BORNE.includes(d)));

/** Returns the problems whose plants are bagged and binned with their roots. */
export const baggedFor = (disorders: readonly DisorderCode[]): DisorderCode[] =>
  disorders.filter((d) => SOIL_BORNE.includes(d));
