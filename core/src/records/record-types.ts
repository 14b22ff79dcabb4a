import type { RECORD_CLASSES } from './record-classes.js';

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

interface KindRow<L extends string | null> {
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
}

/** The compiler knows its list too. */
const kind = <L extends string | null>(row: KindRow<L>): KindRow<L> => row;

const BOTH: readonly OfferedOn[] = ['place', 'plant'];

/**
 * Every record type, in the order in which the sheet offers them. Case file, tidying, case building, the API, the
 * record sheet, the ribbon and the timeline all derive from this table. A new type is one more row, its class, its words,
 * and its form and icon on the page (the compiler asks for those). Classes and words are separate, so a page that only
 * names records need not load them.
 */
export const RECORD_TYPES = {
  watering: kind({
    list: 'watering',
    of: 'plant-or-place',
    track: 'water',
    offeredOn: BOTH,
    label: 'Water',
    done: 'watered',
  }),
  'soil-check': kind({
    list: 'soilChecks',
    of: 'plant-or-place',
    track: 'seen',
    offeredOn: BOTH,
    label: 'Feel the soil',
    done: 'soil felt',
  }),
  'soil-warmth': kind({
    list: null, // the open format has no list for it
    of: 'plant-or-place',
    track: 'seen',
    offeredOn: ['place'],
    label: 'Soil temperature',
    done: 'soil temperature',
  }),
  feeding: kind({
    list: 'feeding',
    of: 'plant-or-place',
    track: 'feed',
    offeredOn: BOTH,
    label: 'Feed',
    done: 'fed',
  }),
  pruning: kind({
    list: 'pruning',
    of: 'plant-or-place',
    track: 'work',
    offeredOn: BOTH,
    label: 'Cut',
    done: 'cut',
  }),
  note: kind({
    list: null,
    of: 'plant-or-place',
    track: 'note',
    offeredOn: BOTH,
    label: 'Note',
    done: 'noted',
  }),
  spray: kind({
    list: 'sprays',
    of: 'plant-or-place',
    track: 'work',
    offeredOn: BOTH,
    label: 'Spray',
    done: 'sprayed',
  }),
  event: kind({
    list: 'events',
    of: 'plant-or-place',
    track: 'work',
    offeredOn: BOTH,
    label: 'Something happened',
    done: 'something happened',
  }),
  picking: kind({
    list: null, // in a case file it is one of the events
    of: 'plant',
    track: 'work',
    offeredOn: ['plant'],
    label: 'Pick',
    done: 'picked',
  }),
  'pot-weight': kind({
    list: 'potWeights',
    of: 'plant',
    track: 'seen',
    offeredOn: ['plant'],
    label: 'Weigh the pot',
    done: 'weighed',
  }),
  'rain-gauge': kind({
    list: null, // in the weather of the case file
    of: 'garden',
    track: 'seen', // in the water chart it would look like a watering
    offeredOn: [], // recorded in the day's own panel
    label: 'Read the rain gauge',
    done: 'rain gauge read',
  }),
  'truss-count': kind({
    list: null, // the open format has no list for it
    of: 'plant',
    track: 'seen',
    offeredOn: ['plant'],
    label: 'Count a truss',
    done: 'truss counted',
  }),
  growth: kind({
    list: null, // in a case file it is the plant's stage and height
    of: 'plant-or-place',
    track: 'seen',
    offeredOn: BOTH,
    label: 'Stage and height',
    done: 'stage or height noted',
  }),
  companion: kind({
    list: null, // the open format has no list for it
    of: 'plant-or-place',
    track: 'work',
    offeredOn: ['place'],
    label: 'Companion plants and weeds',
    done: 'companion plants and weeds',
  }),
  covering: kind({
    list: null, // in a case file it is the bed's mulch, shade and cover
    of: 'plant-or-place',
    track: 'work',
    offeredOn: ['place'],
    label: 'Mulch, shade or cover',
    done: 'mulch, shade or cover',
  }),
  support: kind({
    list: null, // in a case file it is the plant's support
    of: 'plant-or-place',
    track: 'work',
    offeredOn: BOTH,
    label: 'Support',
    done: 'supported',
  }),
  timer: kind({
    list: null, // in a case file its runs are waterings
    of: 'plant-or-place',
    track: 'work', // its runs are not recorded one by one
    offeredOn: ['place'],
    label: 'Timer',
    done: 'timer set',
  }),
  inspection: kind({
    list: null, // its signs are the case's observations
    of: 'plant',
    track: 'seen',
    offeredOn: [], // it has a page of its own
    label: 'Look over',
    done: 'looked over',
  }),
} as const;

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

/** Returns the types offered on the sheet of a plant or of a bed or pot, in order. */
export const typesOfferedOn = (on: OfferedOn): RecordType[] =>
  RECORD_TYPE_CODES.filter((code) => RECORD_TYPES[code].offeredOn.includes(on));
