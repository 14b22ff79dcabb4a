import { BASE_C } from '../climate/degree-days.js';
import type { FrostFreeSeason, PoorMonth } from '../season/frost-free.js';
import type { Formatter } from '../units/formatter.js';
import type { Band, Counted, DateKind } from './dates.js';

/** Names of the dates on the year chart. */
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
  'last-feed': 'Last nitrogen feed',
  top: 'Top the plant',
  'first-frost': 'First frost',
};

/** "about 25 April to 16 May", "set out on 6 May", "by 30 July". */
export function bandInWords(b: Band, f: Formatter): string {
  if (b.done) return `done on ${f.day(b.done)}`;
  if (b.what === 'last-planting' || b.what === 'second-sowing') return `by ${f.day(b.to)}`;
  return b.from === b.to ? `on ${f.day(b.from)}` : `${f.day(b.from)} to ${f.day(b.to)}`;
}

const span = ([least, most]: readonly [number, number]): string => {
  const [a, b] = [Math.abs(least), Math.abs(most)].sort((x, y) => x - y) as [number, number];
  return a === b ? `${a} days` : `${a} to ${b} days`;
};

/** Reasons behind the days of each band. */
const REASONS: Record<DateKind, string> = {
  sow: 'how long it grows under cover',
  'pot-on': 'at its first true leaves it needs a larger pot',
  'last-frost': 'how much frost dates vary from year to year',
  harden: 'leaves grown indoors must get used to sun and wind',
  'plant-out': 'soil and nights must warm up first',
  mulch: 'the soil is warm by then, and the plant stands well above it',
  'first-fruit': 'by its packet or what is usual, a tenth sooner or later',
  'last-planting': 'its days to maturity, and two weeks before the frost',
  'second-sowing': 'a month to raise it, then enough warmth to ripen before the cold',
  'last-feed': 'nitrogen later than that makes leaves the fruit can’t use',
  top: 'fruit of a later one is not full size before the cold or the frost',
  'first-frost': 'how much frost dates vary from year to year',
};

const POOR_WORDS: Record<PoorMonth, string> = {
  rains: 'the rains',
  'hot-nights': 'nights too hot for pollen',
  'cold-nights': 'nights too cold for fruit to set',
};
const REMAINS_WORDS: Record<PoorMonth, string> = {
  rains: 'It rains all year: a roof over the plants keeps their leaves dry.',
  'hot-nights': 'Nights stay hot: choose varieties that set in heat.',
  'cold-nights': 'Nights stay cold: a cover helps fruit to set.',
};

/**
 * Says why this is the time to plant where no frost falls.
 * @example frostFreeInWords({ window: ['10-01', '11-28'], avoids: ['rains'], remains: [] })
 * // 'No frost falls here. Planted then, it flowers and ripens outside of the rains.'
 */
export function frostFreeInWords({ window, avoids, remains }: FrostFreeSeason): string {
  const left = remains.map((p) => REMAINS_WORDS[p]);
  const why = window
    ? `Planted then, it flowers and ripens outside of ${avoids.map((p) => POOR_WORDS[p]).join(' and of ')}.`
    : 'No month is better than another: plant at any time.';
  return ['No frost falls here.', why, ...left].join(' ');
}

/** Says how a date was computed: "7 to 28 days after the last frost, 30 April: soil and nights must warm up first." */
export function bandExplained({ what, of, done }: Band, f: Formatter): string {
  if (done) return `Recorded: ${f.day(done)}.`;
  const [on, until] = of.on ?? [];
  const day = on === undefined ? '' : on === until ? f.day(on) : `${f.day(on)} to ${f.day(until!)}`;
  const counted = `${span(of.days)} ${of.days[1] <= 0 ? 'before' : 'after'}`;
  switch (of.from) {
    case 'frost-days':
      return `${day} by the garden’s settings, ${Math.abs(of.days[1])} days either side: ${REASONS[what]}.`;
    case 'season':
      return of.frostFree
        ? frostFreeInWords(of.frostFree)
        : 'We have no frost date for this garden, so this is the usual time to plant out.';
    case 'autumn-warmth':
      return what === 'second-sowing'
        ? `${day}, or up to ten days before: ${REASONS[what]}.`
        : `By ${day}: plants set out later find too little warmth before the cold to ripen.`;
    case 'warmth':
      return warmthExplained(of.warmth!, of.days[1] > 0, f);
    case 'last-flower':
      return `The last useful flower opens about ${day}: ${REASONS[what]}.`;
    case 'last-frost':
      return `${counted} the last frost, ${day}: ${REASONS[what]}.`;
    case 'first-frost':
      return what === 'plant-out'
        ? `${counted} the first frost, ${day}: late enough to follow another crop, with time to ripen.`
        : `${counted} the first frost, ${day}: ${REASONS[what]}.`;
    case 'sowing':
      return what === 'plant-out'
        ? `Not earlier than ${of.days[0]} days after sowing, ${day}.`
        : `${counted} sowing, ${day}: ${REASONS[what]}.`;
    case 'planting-out':
      return `${counted} planting out, ${day}: ${REASONS[what]}.`;
  }
}

function warmthExplained({ needed, had, aDay }: NonNullable<Counted['warmth']>, ahead: boolean, f: Formatter): string {
  const needs = `the warmth above ${f.temperature(BASE_C)} that this variety needs from planting out to ripe fruit`;
  const share = (sum: number): string => `${Math.round((sum / needed) * 100)} %`;
  return ahead ? `It has had ${share(had)} of ${needs}; recently a day adds ${share(aDay)}.` : `It has had ${needs}.`;
}
