import type { Clearing } from './closing-plants.js';

/** Closing the year: equipment to store (common practice). */
interface KitRow {
  code: string;
  label: string;
  how: string;
  /** only if plants were bagged, or mix is binned */
  after?: 'bag' | 'binMix';
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
  {
    code: 'plastic',
    label: 'Plastic bottles, fabric and nets',
    how: 'Collected and washed; bin what is brittle or torn before it breaks up in the soil.',
  },
  { code: 'cages', label: 'Cages', how: 'Brushed clean and stacked.' },
  { code: 'stakes', label: 'Stakes and canes', how: 'Brushed clean, dried and stored under a roof.' },
  {
    code: 'pots',
    label: 'Pots and bags',
    how: 'Emptied and scrubbed; spread the mix on beds that will grow no tomatoes or peppers.',
  },
  {
    code: 'sick-pots',
    label: 'Pots and bags',
    how: 'Bin the mix of the sick plants, do not spread it; scrub the pots with hot soapy water.',
    after: 'binMix',
  },
  { code: 'drip', label: 'Hoses and timer', how: 'Drained before frost; battery out of the timer.' },
  { code: 'cloth', label: 'Fleece and shade cloth', how: 'Dry, folded and safe from mice.' },
  { code: 'labels', label: 'Labels', how: 'Keep these until the season’s review is done.' },
  { code: 'soil', label: 'The soil', how: 'Covered with leaves, compost or a green manure, not left bare.' },
  {
    code: 'blades',
    label: 'Blades and stakes from sick plants',
    how: 'Washed in hot soapy water, then 70 % alcohol; after a mosaic virus skimmed milk or bleach instead. Stakes soaked, or replaced next year.',
    after: 'bag',
  },
]);
/** Code of an item to put away. */
export type KitCode = (typeof KIT)[number]['code'];
/** Codes of all items to put away. */
export const KIT_CODES: KitCode[] = KIT.map((k) => k.code);

/** Returns the list for a season: with the rows for sick plants only if there were any. */
export const kitFor = (clearing: Pick<Clearing, 'bag' | 'binMix'>): (typeof KIT)[number][] =>
  KIT.filter((k) => (!k.after || clearing[k.after].length > 0) && !(k.code === 'pots' && clearing.binMix.length > 0));
