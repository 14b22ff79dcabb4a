import type { Crop } from '../../records/plant.js';
import type { DisorderCode } from '../../records/vocabulary/disorders.js';
import type { SignCode } from '../../records/vocabulary/signs.js';
import type { RuleParams } from '../drivers/verdict.js';
import type { Dose } from '../remedies/doses.js';
import type { FactCode } from '../facts.js';
import type { ReadingCode } from '../readings.js';
import type { LivesIn } from '../regions.js';
import type { DriverCode } from '../vocabulary/drivers.js';
import type { CheckCode } from './checks.js';
import type { CautionCode } from '../../records/vocabulary/cautions.js';
import type { RemedyCode } from './remedies.js';

/**
 * `chance` of seeing `sign` with the problem, and why. A creature that was seen is linked to its own row only: it is
 * there, whatever else is wrong; drivers say what attracts it or what it brings.
 */
type SignLink = readonly [sign: SignCode, chance: number, why: string];

/** A fact that multiplies the prior odds, by how much, and why. */
type SettingLink = readonly [fact: FactCode, oddsFactor: number, why: string];

/**
 * Necessary conditions and triggers of the problem: factors on its odds if the records say yes, and if they say no.
 * Unknown counts for nothing. `same-trouble-before` is its own earlier years in this soil.
 */
interface RecordLink {
  reading: ReadingCode | 'same-trouble-before';
  yes?: number;
  no?: number;
  why: string;
}

/** How a driver raises the odds of a problem and explains it. */
export interface DriverLink {
  driver: DriverCode;
  /** factor on the prior odds when the driver is found at full strength */
  oddsFactor: number;
  /** how much of the story this driver explains when found, 0 to 1 */
  weight: number;
  /** factor when the records show that the driver is absent */
  oddsFactorIfAbsent?: number;
  /** this problem's own thresholds for the rule */
  params?: RuleParams;
  /** why, where it is not obvious */
  why?: string;
}

/** How many creatures there are; a count or a word decides. */
export type Numbers = 'few' | 'some' | 'many' | 'unknown';

/** A remedy of a problem, and when it is offered. */
export interface RemedyLink {
  remedy: RemedyCode;
  /** offered only if one of these drivers was found or one of these facts holds */
  drivers?: readonly DriverCode[];
  facts?: readonly FactCode[];
  /** against this problem only: held back while this holds, and why */
  notWhile?: readonly (readonly [fact: FactCode, because: string])[];
  /** held back until one of these signs was seen, and why; their checks come first, however certain the finding */
  provenBy?: { signs: readonly SignCode[]; checks: readonly CheckCode[]; because: string };
  /** where this is offered, these are not: they would say less at the same time */
  insteadOf?: readonly RemedyCode[];
  /** against this problem: cautions in addition to those of the remedy */
  cautions?: readonly CautionCode[];
  /** only while the creatures are so many; any number if left out */
  at?: readonly Numbers[];
  /** against this problem only: its own amount */
  dose?: Dose;
}

/**
 * One row of the handbook: everything we know about one problem. Chances and factors are judgement unless `source`
 * says otherwise.
 */
export interface DisorderRow {
  code: DisorderCode;
  group: 'fruit' | 'flower' | 'water and weather' | 'nutrition' | 'natural and mechanical' | 'creatures' | 'disease';
  crop?: Crop;
  harmless?: true;
  label: string;
  /** one plain line: what it is */
  line: string;
  source: string;
  /** chance on a plant someone worries about, before any sign or record */
  prior: number;
  setting: readonly SettingLink[];
  signs: readonly SignLink[];
  /** the creature itself: once seen it is there, and damage that was looked for in vain means few of them */
  seenAs?: readonly SignCode[];
  /** how many of them are few, and from how many on they are many; judgement */
  numbers?: { few: number; many: number };
  drivers: readonly DriverLink[];
  /** its necessary conditions and triggers */
  records?: readonly RecordLink[];
  /** where in the world it occurs; everywhere if left out */
  livesIn?: LivesIn;
  remedies: readonly RemedyLink[];
  /** how to tell it from look-alikes */
  lookAlikes: Partial<Record<DisorderCode, string>>;
  /** what not to do: each reads as a don't */
  doNot: readonly string[];
  /** what else helps to know */
  goodToKnow?: readonly string[];
  /** offered as general advice where the records point to no driver */
  inGeneral?: readonly RemedyCode[];
  followUpDays: number;
  successIs: string;
}

/** Source of rows that rest on common practice. */
export const HANDBOOK = 'common practice and extension teaching, from memory';

/** Writes a driver link in one line. */
export const by = (driver: DriverCode, oddsFactor: number, weight: number, more: Partial<DriverLink> = {}): DriverLink => ({
  driver,
  oddsFactor,
  weight,
  ...more,
});

/** Writes record links: `needs('wet-spell', 0.04, 'no spore without water')`, `starts('storm-yesterday', 20, '…')`. */
export const needs = (reading: RecordLink['reading'], no: number, why: string, yes?: number): RecordLink => ({ reading, no, why, ...(yes ? { yes } : {}) });
/** Returns a link from a reading to a problem: the factor on its odds if yes, and if no. */
export const starts = (reading: RecordLink['reading'], yes: number, why: string, no?: number): RecordLink => ({ reading, yes, why, ...(no ? { no } : {}) });

/** Leaf diseases that survive the winter on plant remains (common practice). */
export const OVERWINTERS = starts('same-trouble-before', 3, 'it survives the winter on plant remains in this soil', 0.8);

/** Writes remedy links: `always('mulch')`, `against(['hot-days'], 'shade-cloth')`. */
export const always = (...remedies: RemedyCode[]): RemedyLink[] => remedies.map((remedy) => ({ remedy }));
/** Returns remedies offered only if one of these drivers was found. */
export const against = (drivers: readonly DriverCode[], ...remedies: RemedyCode[]): RemedyLink[] => remedies.map((remedy) => ({ remedy, drivers }));
/** Returns remedies offered only while the creatures are so many. */
export const whileThey = (at: readonly Numbers[], ...remedies: RemedyCode[]): RemedyLink[] => remedies.map((remedy) => ({ remedy, at }));
/** One caterpillar is picked off; from two on they are several, from six on many (judgement). */
export const ONE_OR_MORE = { few: 1, many: 6 } as const;
/** Never for a single caterpillar, nor for one nobody counted, nor while wasp cocoons sit on one. */
export const BT_FOR_SEVERAL: readonly RemedyLink[] = [{ remedy: 'bt-spray', at: ['some', 'many'], notWhile: [['cocoons-seen', 'wasps are hatching from the white grains: leave them to it']] }];
/** Returns remedies offered only if one of these facts holds. */
export const where = (facts: readonly FactCode[], ...remedies: RemedyCode[]): RemedyLink[] => remedies.map((remedy) => ({ remedy, facts }));
