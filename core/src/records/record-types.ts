import type { Formatter } from '../units/formatter.js';
import type { Picking, RECORD_CLASSES } from './record-classes.js';
import { shareInWords } from './label-share.js';
import { signRow } from './vocabulary/signs.js';
import { capital } from '../units/text.js';

/** The chart of the timeline, and the shape of mark, for a record type. */
export const TRACKS = ['water', 'feed', 'work', 'seen', 'note'] as const;
/** The chart on which a record type is shown. */
export type Track = (typeof TRACKS)[number];

/** Where the record sheet offers it. */
type OfferedOn = 'plant' | 'place';

/** Type of record. */
export type RecordType = keyof typeof RECORD_CLASSES;
/** The stored data of a record type. */
export type RecordData<K extends RecordType = RecordType> = InstanceType<(typeof RECORD_CLASSES)[K]>;

interface KindRow<C, L extends string | null> {
  /** its list in a case file; null: stored elsewhere there, or not at all */
  list: L;
  /** belongs to one plant only, to a whole bed or pot too, or to the garden */
  of: 'plant' | 'plant-or-place' | 'garden';
  track: Track;
  offeredOn: readonly OfferedOn[];
  /** on a button: "Feed" */
  label: string;
  /** past form: "fed" */
  done: string;
  /** one line for a list */
  describe: (data: C, f: Formatter) => string;
}

/** The compiler knows its list too. */
const kind =
  <K extends RecordType>() =>
  <L extends string | null>(row: KindRow<RecordData<K>, L>): KindRow<RecordData<K>, L> =>
    row;

const BOTH: readonly OfferedOn[] = ['place', 'plant'];
const words = (code: string): string => code.replaceAll('-', ' ');
const together = (parts: readonly string[], by = ', '): string => parts.filter(Boolean).join(by);

const COVERING_NAMES = { mulch: 'Mulch', shade: 'Shade cloth', roof: 'Rain cover', net: 'Net' } as const;

const SUPPORT_NAMES = {
  stake: 'Staked',
  cage: 'Cage set up',
  string: 'String hung',
  panel: 'Panel set up',
  weave: 'Woven between stakes',
  cylinder: 'Mesh cylinder set up',
} as const;

const PICKED_FOR: Record<Picking['use'], string> = {
  eaten: 'eaten',
  sauce: 'for sauce',
  kept: 'kept',
  given: 'given away',
  shelf: 'set aside to ripen',
  binned: 'binned',
};

/**
 * Every record type, in the order in which the sheet offers them. Case file, tidying, case building, the API, the
 * record sheet, the ribbon and the timeline all derive from this table. A new type is one more row, its class, and
 * its form and icon on the page (the compiler asks for those). The classes are separate, so a page that only names
 * records need not load them.
 */
export const RECORD_TYPES = {
  watering: kind<'watering'>()({
    list: 'watering',
    of: 'plant-or-place',
    track: 'water',
    offeredOn: BOTH,
    label: 'Water',
    done: 'watered',
    describe: (d, f) =>
      together([
        d.litres == null ? 'Watered' : `Watered, ${f.litres(d.litres)} per plant`,
        d.minutes != null ? `in ${d.minutes} minutes` : '',
        d.how === 'overhead' ? 'over the leaves' : '',
        d.end === 'ran-through' ? 'until it ran out below' : d.litres == null ? 'amount unknown' : '',
      ]),
  }),
  'soil-check': kind<'soil-check'>()({
    list: 'soilChecks',
    of: 'plant-or-place',
    track: 'seen',
    offeredOn: BOTH,
    label: 'Feel the soil',
    done: 'soil felt',
    describe: (d, f) =>
      `${d.by === 'probe' ? 'Probe reading' : 'Soil felt'} ${d.feel}${d.share == null ? '' : ` (${Math.round(100 * d.share)} % left)`}${d.depthCm ? ` at ${f.centimetres(d.depthCm)}` : ''}${d.after ? ', after watering' : ''}`,
  }),
  'soil-warmth': kind<'soil-warmth'>()({
    list: null, // the open format has no list for it
    of: 'plant-or-place',
    track: 'seen',
    offeredOn: ['place'],
    label: 'Soil temperature',
    done: 'soil temperature',
    describe: (d, f) => `Soil ${f.temperature(d.celsius)}`,
  }),
  feeding: kind<'feeding'>()({
    list: 'feeding',
    of: 'plant-or-place',
    track: 'feed',
    offeredOn: BOTH,
    label: 'Feed',
    done: 'fed',
    describe: (d, f) => {
      if (d.grams === 0) return 'Not fed';
      const what = d.product ?? 'feed';
      return d.unknown
        ? `Fed: ${what}, amount unknown`
        : together([
            `Fed ${f.grams(d.grams)} of ${what} (${d.n}-${d.p2o5}-${d.k2o})`,
            d.labelGrams ? shareInWords(d.grams / d.labelGrams) : '',
          ]);
    },
  }),
  pruning: kind<'pruning'>()({
    list: 'pruning',
    of: 'plant-or-place',
    track: 'work',
    offeredOn: BOTH,
    label: 'Cut',
    done: 'cut',
    describe: (d) =>
      together([
        `${d.cuts ?? 'Some'} cuts`,
        d.leafSharePct != null ? `${d.leafSharePct} % of the leaves` : '',
        (d.what ?? []).map(words).join(', '),
      ]),
  }),
  note: kind<'note'>()({
    list: null,
    of: 'plant-or-place',
    track: 'note',
    offeredOn: BOTH,
    label: 'Note',
    done: 'noted',
    describe: (d) => d.text,
  }),
  spray: kind<'spray'>()({
    list: 'sprays',
    of: 'plant-or-place',
    track: 'work',
    offeredOn: BOTH,
    label: 'Spray',
    done: 'sprayed',
    describe: (d) =>
      together([
        `${d.trial ? 'Tested on one leaf' : 'Sprayed'}: ${d.name ?? words(d.product)}`,
        d.target ? `against ${d.target.toLowerCase()}` : '',
      ]),
  }),
  event: kind<'event'>()({
    list: 'events',
    of: 'plant-or-place',
    track: 'work',
    offeredOn: BOTH,
    label: 'Something happened',
    done: 'something happened',
    describe: (d) => capital(words(d.what)),
  }),
  picking: kind<'picking'>()({
    list: null, // in a case file it is one of the events
    of: 'plant',
    track: 'work',
    offeredOn: ['plant'],
    label: 'Pick',
    done: 'picked',
    describe: (d, f) =>
      together([
        `Picked ${together([d.count != null ? String(d.count) : '', d.grams != null ? f.grams(d.grams) : ''])}`.trim(),
        d.state === 'sound' ? '' : words(d.state),
        d.ripeness && d.ripeness !== 'ripe' ? (d.ripeness === 'blush' ? 'at first blush' : 'green') : '',
        PICKED_FOR[d.use],
        d.taste ? `taste: ${d.taste}` : '',
        d.brix != null ? `${d.brix} °Brix` : '',
      ]),
  }),
  'pot-weight': kind<'pot-weight'>()({
    list: 'potWeights',
    of: 'plant',
    track: 'seen',
    offeredOn: ['plant'],
    label: 'Weigh the pot',
    done: 'weighed',
    describe: (d, f) => `Pot weighs ${f.kilograms(d.kg)}${d.state === 'unknown' ? '' : `, ${d.state}`}`,
  }),
  'rain-gauge': kind<'rain-gauge'>()({
    list: null, // in the weather of the case file
    of: 'garden',
    track: 'seen', // in the water chart it would look like a watering
    offeredOn: [], // recorded in the day's own panel
    label: 'Read the rain gauge',
    done: 'rain gauge read',
    describe: (d, f) => `Rain gauge: ${f.rain(d.rainMm)}`,
  }),
  'truss-count': kind<'truss-count'>()({
    list: null, // the open format has no list for it
    of: 'plant',
    track: 'seen',
    offeredOn: ['plant'],
    label: 'Count a truss',
    done: 'truss counted',
    describe: (d) =>
      `Truss ${d.truss}: ${d.flowers} flowers, ${d.fruit} fruit set${d.flowers + d.fruit > 0 ? ` (${Math.round((100 * d.fruit) / (d.flowers + d.fruit))} %)` : ''}`,
  }),
  growth: kind<'growth'>()({
    list: null, // in a case file it is the plant's stage and height
    of: 'plant-or-place',
    track: 'seen',
    offeredOn: BOTH,
    label: 'Stage and height',
    done: 'stage or height noted',
    describe: (d, f) =>
      together([
        d.stage ? `Stage: ${d.stage}${d.orLater ? ' or later' : d.soon ? ', the next one near' : ''}` : '',
        d.heightM != null ? `${d.rough ? 'about ' : ''}${f.centimetres(d.heightM * 100)} tall` : '',
      ]),
  }),
  companion: kind<'companion'>()({
    list: null, // the open format has no list for it
    of: 'plant-or-place',
    track: 'work',
    offeredOn: ['place'],
    label: 'Companion plants and weeds',
    done: 'companion plants and weeds',
    describe: (d) => `${capital(words(d.what))} ${words(d.did)}`,
  }),
  covering: kind<'covering'>()({
    list: null, // in a case file it is the bed's mulch, shade and cover
    of: 'plant-or-place',
    track: 'work',
    offeredOn: ['place'],
    label: 'Mulch, shade or cover',
    done: 'mulch, shade or cover',
    describe: (d, f) => {
      if (d.did === 'off') return `${COVERING_NAMES[d.what]} taken off`;
      const deep = d.depthCm != null ? `${f.centimetres(d.depthCm)} of ` : '';
      if (d.what === 'mulch') return `Mulched: ${deep}${d.material && d.material !== 'other' ? d.material : 'mulch'}`;
      return together([
        `${COVERING_NAMES[d.what]} put on`,
        d.blockPct != null ? `${d.blockPct} %` : '',
        d.side && d.side !== 'over' ? `on the ${d.side} side` : '',
      ]);
    },
  }),
  support: kind<'support'>()({
    list: null, // in a case file it is the plant's support
    of: 'plant-or-place',
    track: 'work',
    offeredOn: BOTH,
    label: 'Support',
    done: 'supported',
    describe: (d) => SUPPORT_NAMES[d.what],
  }),
  timer: kind<'timer'>()({
    list: null, // in a case file its runs are waterings
    of: 'plant-or-place',
    track: 'work', // its runs are not recorded one by one
    offeredOn: ['place'],
    label: 'Timer',
    done: 'timer set',
    describe: (d, f) => {
      if (d.off) return 'Timer switched off';
      const often = d.everyDays === 1 ? 'every day' : `every ${d.everyDays ?? '?'} days`;
      return together([
        `Timer: ${often}`,
        d.minutes != null ? `${d.minutes} minutes` : '',
        d.litres != null ? `${f.litres(d.litres)} per plant` : '',
        d.skipsRain ? 'off when it rains' : '',
      ]);
    },
  }),
  inspection: kind<'inspection'>()({
    list: null, // its signs are the case's observations
    of: 'plant',
    track: 'seen',
    offeredOn: [], // it has a page of its own
    label: 'Look over',
    done: 'looked over',
    describe: (d) => {
      if (d.signs.length === 0) return 'All clear';
      const named = (present: boolean): string =>
        d.signs
          .filter((s) => s.present === present)
          .map((s) => `${signRow(s.sign).label.toLowerCase()}${counted(s)}`)
          .join(', ');
      const seen = named(true);
      const not = named(false);
      return together([seen && `Seen: ${seen}`, not && `not seen: ${not}`], '; ');
    },
  }),
} as const;

/** Returns " (4 of 11)", " (4)" or an empty text. */
const counted = (s: { affected?: number | null; of?: number | null }): string =>
  s.affected == null ? '' : ` (${s.affected}${s.of != null ? ` of ${s.of}` : ''})`;

type Rows = typeof RECORD_TYPES;

/** Codes of all record types. */
export const RECORD_TYPE_CODES = Object.keys(RECORD_TYPES) as RecordType[];

type InCaseFile = { [K in RecordType]: Rows[K]['list'] extends string ? K : never }[RecordType];
/** The lists of a case file that hold records of a type. */
export type RecordLists = { [K in InCaseFile as Rows[K]['list'] & string]: RecordData<K>[] };

/** The record types with a list of their own in a case file, and its name. */
export const CASE_LISTS = RECORD_TYPE_CODES.flatMap((code) => {
  const { list } = RECORD_TYPES[code];
  return list === null ? [] : [{ kind: code as InCaseFile, list }];
});

/** Returns a record in one line, for lists and screen readers. */
export const describeRecord = (kind: RecordType, data: RecordData, f: Formatter): string =>
  (RECORD_TYPES[kind].describe as (data: RecordData, f: Formatter) => string)(data, f);

/** Returns the types offered on the sheet of a plant or of a bed or pot, in order. */
export const typesOfferedOn = (on: OfferedOn): RecordType[] =>
  RECORD_TYPE_CODES.filter((code) => RECORD_TYPES[code].offeredOn.includes(on));
