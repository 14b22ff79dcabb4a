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
import type { CautionCode, RemedyCode } from './remedies.js';

/**
 * `chance` of seeing `sign` where the disorder is, and why. A creature that was seen is linked to that creature's own row
 * only: it is there, whatever else is wrong; what draws it, or what it brings, is told by drivers.
 */
export type SignLink = readonly [sign: SignCode, chance: number, why: string];

/** A fact that multiplies the prior odds, by how much, and why. */
export type SettingLink = readonly [fact: FactCode, oddsFactor: number, why: string];

/**
 * What the trouble cannot do without, or what starts it: factors on its odds where the records say yes, and where they say no.
 * Not known counts for nothing. `same-trouble-before` is its own earlier years in this soil.
 */
export interface RecordLink {
  reading: ReadingCode | 'same-trouble-before';
  yes?: number;
  no?: number;
  why: string;
}

export interface DriverLink {
  driver: DriverCode;
  /** factor on the prior odds when the driver is found at full strength */
  oddsFactor: number;
  /** how much of the story this driver tells when found, 0 to 1 */
  weight: number;
  /** factor when the records show that the driver is not there */
  oddsFactorIfAbsent?: number;
  /** this disorder's own thresholds for the rule */
  params?: RuleParams;
  /** why, where it does not go without saying */
  why?: string;
}

export interface RemedyLink {
  remedy: RemedyCode;
  /** offered only when one of these drivers was found, or one of these facts holds */
  drivers?: readonly DriverCode[];
  facts?: readonly FactCode[];
  /** against this trouble only: withheld while this holds, and why */
  notWhile?: readonly (readonly [fact: FactCode, because: string])[];
  /** withheld until one of these signs was seen, and why; these checks look for them first, however sure the finding is */
  provenBy?: { signs: readonly SignCode[]; checks: readonly CheckCode[]; because: string };
  /** against this trouble: cautions beside those of the remedy */
  cautions?: readonly CautionCode[];
  /** against this trouble only: its own amount */
  dose?: Dose;
}

/** Everything that is known of one disorder. Chances and factors are judgement unless `source` says otherwise. */
export interface DisorderRow {
  code: DisorderCode;
  group: 'fruit' | 'flower' | 'water and weather' | 'nutrition' | 'natural and mechanical' | 'creatures' | 'disease';
  crop?: Crop;
  harmless?: true;
  label: string;
  /** one plain line: what it is */
  line: string;
  source: string;
  /** chance on a worrying plant before any sign or record */
  prior: number;
  setting: readonly SettingLink[];
  signs: readonly SignLink[];
  drivers: readonly DriverLink[];
  /** what it cannot do without, and what starts it */
  records?: readonly RecordLink[];
  /** where in the world it lives; everywhere where it is left out */
  livesIn?: LivesIn;
  remedies: readonly RemedyLink[];
  /** how to tell it from what looks like it */
  lookAlikes: Partial<Record<DisorderCode, string>>;
  /** what not to do: each reads as a don't */
  doNot: readonly string[];
  /** what else helps to know */
  goodToKnow?: readonly string[];
  /** offered where the records name no driver, marked as general advice */
  inGeneral?: readonly RemedyCode[];
  followUpDays: number;
  successIs: string;
}

export const HANDBOOK = 'common practice and extension teaching, from memory';

/** Driver link in one line. */
export const by = (driver: DriverCode, oddsFactor: number, weight: number, more: Partial<DriverLink> = {}): DriverLink => ({
  driver,
  oddsFactor,
  weight,
  ...more,
});

/** Record links: `needs('wet-spell', 0.04, 'no spore without water')`, `starts('storm-yesterday', 20, '…')`. */
export const needs = (reading: RecordLink['reading'], no: number, why: string, yes?: number): RecordLink => ({ reading, no, why, ...(yes ? { yes } : {}) });
export const starts = (reading: RecordLink['reading'], yes: number, why: string, no?: number): RecordLink => ({ reading, yes, why, ...(no ? { no } : {}) });

/** Leaf diseases that live over the winter on what is left of their plants (common practice). */
export const OVERWINTERS = starts('same-trouble-before', 3, 'it survives the winter on plant remains in this soil', 0.8);

/** Remedy links: `always('mulch')`, `against(['hot-days'], 'shade-cloth')`. */
export const always = (...remedies: RemedyCode[]): RemedyLink[] => remedies.map((remedy) => ({ remedy }));
export const against = (drivers: readonly DriverCode[], ...remedies: RemedyCode[]): RemedyLink[] => remedies.map((remedy) => ({ remedy, drivers }));
export const where = (facts: readonly FactCode[], ...remedies: RemedyCode[]): RemedyLink[] => remedies.map((remedy) => ({ remedy, facts }));
