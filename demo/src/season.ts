import type { RecordInput } from '@candid-leaf/contract';
import type { Feeding, Inspection, RecordData, RecordType, WaterMethod } from '@candid-leaf/core/records';
import { addDays, type Day, daysBetween } from '@candid-leaf/core/units';
import { DEMO_DAY } from './account.js';
import { PLANTS } from './garden.js';
import { PAST_RECORDS } from './earlier-years.js';
import { idOf } from './ids.js';

/** A season of records from April to mid July, with the habits behind the demo's findings. */

/** The subject of a record, by name. */
interface Of {
  plant?: string;
  place?: string;
}

const record = <K extends RecordType>(type: K, of: Of, data: RecordData<K>, n = 0): RecordInput => ({
  id: idOf(`${type} ${of.plant ?? of.place} ${data.date} ${n}`),
  type,
  plantId: of.plant ? idOf(of.plant) : null,
  placeId: of.place ? idOf(of.place) : null,
  data,
});

/** Returns every `n`-th day from `from` to `to`. */
const every = (n: number, from: Day, to: Day): Day[] =>
  Array.from({ length: Math.floor(daysBetween(from, to) / n) + 1 }, (_, i) => addDays(from, i * n));

const water = (of: Of, days: Day[], litres: number, how: WaterMethod): RecordInput[] =>
  days.map((date) => record('watering', of, { date, litres, how }));

const WATERING: RecordInput[] = [
  // daily after planting, then weaned to one long watering a week
  ...water({ place: 'wall bed' }, every(2, '2026-05-06', '2026-05-20'), 2, 'base'),
  ...water({ place: 'wall bed' }, every(6, '2026-05-26', '2026-07-13'), 13, 'base'),
  ...water({ place: 'platform bed' }, every(2, '2026-05-16', '2026-07-17'), 3.2, 'drip'),
  ...water({ place: 'tunnel' }, every(3, '2026-04-24', '2026-05-30'), 4, 'soaker'),
  ...water({ place: 'tunnel' }, every(2, '2026-06-01', '2026-07-17'), 3.4, 'soaker'),
  // Sleeper Paste: small and daily at first; a flood now and then since mid June
  ...water({ plant: 'Sleeper Paste' }, every(1, '2026-05-08', '2026-06-12'), 1.2, 'base'),
  ...water(
    { plant: 'Sleeper Paste' },
    ['2026-06-16', '2026-06-20', '2026-06-25', '2026-06-29', '2026-07-04', '2026-07-09', '2026-07-14'],
    9,
    'base',
  ),
  ...water({ plant: 'Whistle Hot' }, every(1, '2026-05-18', '2026-07-17'), 0.8, 'base'),
  ...water({ plant: 'Brake Van' }, every(1, '2026-05-10', '2026-07-17'), 2.2, 'base'),
  ...water({ plant: 'Down Line' }, every(1, '2026-05-18', '2026-07-17'), 1.6, 'base'),
];

const feed = (
  of: Of,
  date: Day,
  product: string,
  npk: [number, number, number],
  grams: number,
  form: NonNullable<Feeding['form']>,
  because?: string,
): RecordInput =>
  record('feeding', of, {
    date,
    product,
    n: npk[0],
    p2o5: npk[1],
    k2o: npk[2],
    grams,
    form,
    ...(because ? { because } : {}),
  });
/** Why Footplate got so much. */
const MEANT_WELL = 'it looked so well on it that it got some more';

const FEEDING: RecordInput[] = [
  feed({ place: 'wall bed' }, '2026-05-06', 'garden compost', [1, 0.5, 1], 200, 'amendment'),
  feed({ place: 'wall bed' }, '2026-06-28', 'tomato feed', [4, 4, 8], 25, 'granular'),
  feed({ place: 'platform bed' }, '2026-06-20', 'tomato feed', [4, 4, 8], 20, 'granular'),
  feed({ place: 'tunnel' }, '2026-06-14', 'tomato feed', [4, 4, 8], 20, 'granular'),
  // a well-meant feed
  feed({ plant: 'Footplate' }, '2026-06-18', 'lawn feed', [20, 5, 5], 25, 'granular', MEANT_WELL),
  feed({ plant: 'Footplate' }, '2026-06-27', 'lawn feed', [20, 5, 5], 25, 'granular', MEANT_WELL),
  feed({ plant: 'Footplate' }, '2026-07-07', 'lawn feed', [20, 5, 5], 30, 'granular', MEANT_WELL),
  feed({ plant: 'Sleeper Paste' }, '2026-06-26', 'tomato feed', [4, 3, 8], 10, 'liquid'),
  feed({ plant: 'Whistle Hot' }, '2026-07-01', 'balanced feed', [5, 5, 5], 5, 'liquid'),
  feed({ plant: 'Brake Van' }, '2026-07-02', 'tomato feed', [4, 3, 8], 10, 'liquid'),
  feed({ plant: 'Down Line' }, '2026-07-02', 'tomato feed', [4, 3, 8], 8, 'liquid'),
];

const pick = (plant: string, date: Day, more: Partial<RecordData<'picking'>>): RecordInput =>
  record(
    'picking',
    { plant },
    { date, state: 'sound', use: 'eaten', ripeness: 'ripe', ...more },
    more.state === undefined ? 0 : 1,
  );

const CARE: RecordInput[] = [
  record(
    'pruning',
    { plant: 'Semaphore Red' },
    { date: '2026-06-22', cuts: 3, leafSharePct: 5, what: ['lower-leaves', 'suckers'] },
  ),
  record(
    'pruning',
    { plant: 'Quiet Siding' },
    { date: '2026-06-22', cuts: 4, leafSharePct: 6, what: ['lower-leaves', 'suckers'] },
  ),
  record(
    'pruning',
    { plant: 'Ballast Pink' },
    { date: '2026-06-24', cuts: 3, leafSharePct: 6, what: ['lower-leaves'] },
  ),
  record(
    'pruning',
    { plant: 'Lantern Gold' },
    { date: '2026-06-24', cuts: 4, leafSharePct: 6, what: ['lower-leaves', 'suckers'] },
  ),
  record('pruning', { plant: 'Night Mail' }, { date: '2026-07-02', cuts: 3, leafSharePct: 5, what: ['suckers'] }),
  // thinned hard, then came the heat
  record(
    'pruning',
    { plant: 'Junction Bell' },
    { date: '2026-07-07', cuts: 11, leafSharePct: 35, what: ['thinning', 'lower-leaves'] },
  ),
  record('event', { plant: 'Night Mail' }, { date: '2026-07-12', what: 'pollination-assist' }),
  pick('Quiet Siding', '2026-07-15', { count: 31, grams: 420 }),
  pick('Quiet Siding', '2026-07-15', { count: 6, grams: 90, state: 'split' }),
  pick('Lantern Gold', '2026-07-15', { count: 5, grams: 640 }),
  pick('Night Mail', '2026-07-14', { count: 8, grams: 980, ripeness: 'blush', use: 'shelf' }),
  pick('Night Mail', '2026-07-16', { count: 24, grams: 300 }),
  pick('Sleeper Paste', '2026-07-12', { count: 3, grams: 210, state: 'dark-end', use: 'sauce' }),
  ...['Semaphore Red', 'Quiet Siding', 'Ballast Pink', 'Lantern Gold', 'Night Mail'].flatMap((plant) => [
    record('event', { plant }, { date: '2026-06-02', what: 'staked' }),
    record('event', { plant }, { date: '2026-07-13', what: 'tied' }, 1),
  ]),
  // one leaf first, the rest two days later
  record(
    'spray',
    { plant: 'Coal Scuttle' },
    {
      date: '2026-06-20',
      product: 'soap',
      name: 'Insecticidal soap',
      target: 'Aphids',
      perLitre: 15,
      batchL: 0.5,
      trial: true,
      harvestDays: 0,
      everyDays: 5,
    },
  ),
  record(
    'spray',
    { plant: 'Coal Scuttle' },
    {
      date: '2026-06-22',
      product: 'soap',
      name: 'Insecticidal soap',
      target: 'Aphids',
      perLitre: 15,
      batchL: 0.5,
      harvestDays: 0,
      everyDays: 5,
    },
  ),
  record('truss-count', { plant: 'Night Mail' }, { date: '2026-07-12', truss: 1, flowers: 1, fruit: 6 }, 1),
  record('truss-count', { plant: 'Night Mail' }, { date: '2026-07-12', truss: 2, flowers: 2, fruit: 4 }, 2),
  record('truss-count', { plant: 'Night Mail' }, { date: '2026-07-12', truss: 3, flowers: 6, fruit: 1 }, 3),
  record('companion', { place: 'wall bed' }, { date: '2026-05-20', what: 'french-marigold', did: 'planted' }),
  record('companion', { place: 'wall bed' }, { date: '2026-07-10', what: 'weeds', did: 'laid-as-mulch' }),
  record('event', { plant: 'Quiet Siding' }, { date: '2026-07-14', what: 'sucker-in-water' }, 2),
  record(
    'note',
    { plant: 'Sleeper Paste' },
    { date: '2026-06-30', text: 'Eggshells round the stem, as next door does.' },
  ),
  record('soil-check', { plant: 'Sleeper Paste' }, { date: '2026-07-03', feel: 'dry', depthCm: 5 }),
  record('soil-check', { plant: 'Sleeper Paste' }, { date: '2026-07-10', feel: 'wet', depthCm: 5 }),
  record('soil-check', { place: 'wall bed' }, { date: '2026-07-12', feel: 'damp', depthCm: 5 }),
  record('soil-check', { place: 'tunnel' }, { date: '2026-07-15', feel: 'damp', depthCm: 5 }),
  record('note', { plant: 'Footplate' }, { date: '2026-07-14', text: 'Taller than the door, and not one fruit.' }),
  record(
    'note',
    { plant: 'Sleeper Paste' },
    { date: '2026-07-09', text: 'Found it hanging again; gave it a whole can.' },
  ),
];

const look = (plant: string, date: Day, signs: Inspection['signs'], n = 0): RecordInput =>
  record('inspection', { plant }, { date, allClear: signs.length === 0, partOfDay: 'morning', signs }, n);
const yes = (sign: Inspection['signs'][number]['sign'], affected?: number, of?: number): Inspection['signs'][number] =>
  affected === undefined ? { sign, present: true } : { sign, present: true, affected, of: of! };
const no = (sign: Inspection['signs'][number]['sign']): Inspection['signs'][number] => ({ sign, present: false });

const LOOKS: RecordInput[] = [
  ...PLANTS.flatMap((p) => ['2026-06-21', '2026-07-05'].map((day) => look(p.name, day, []))),
  look('Coal Scuttle', '2026-06-19', [yes('pest-aphids'), yes('leaf-sticky')]),
  look('Semaphore Red', '2026-07-16', [
    yes('leaf-yellow-slow-few', 2, 24),
    yes('where-lower-leaves'),
    yes('pest-none-found'),
    no('leaf-target-spots'),
  ]),
  look('Junction Bell', '2026-07-15', [
    yes('fruit-pale-papery-patch', 4, 9),
    yes('fruit-patch-sun-side'),
    yes('pest-none-found'),
    no('fruit-blossom-end-dark'),
  ]),
  look('Footplate', '2026-07-14', [yes('leaf-dark-lush'), yes('flower-few'), yes('pest-none-found')]),
  ...['Quiet Siding', 'Lantern Gold', 'Tender Sweet', 'Night Mail', 'Brake Van', 'Down Line'].map((p) =>
    look(p, '2026-07-15', []),
  ),
];

/** In the order they were made. */
export const RECORDS: RecordInput[] = [...WATERING, ...FEEDING, ...CARE, ...LOOKS, ...PAST_RECORDS]
  .filter((r) => (r.data as { date: Day }).date <= DEMO_DAY)
  .sort((a, b) => ((a.data as { date: Day }).date < (b.data as { date: Day }).date ? -1 : 1));
