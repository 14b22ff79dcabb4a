import { disorderRow } from '../diagnosis/tables/disorders.js';
import type { Formatter } from '../units/formatter.js';
import type { ChangeCode } from './changes.js';
import type { Habit } from './habit.js';
import type { Prevention } from './prevented.js';

const percent = (share: number): string => `${Math.round(share * 100)} %`;

const WITH: Readonly<Record<ChangeCode, (p: Prevention, f: Formatter) => string>> = {
  'water-by-plan': ({ litres = 0, size = 1, from }, f) =>
    `With ${f.litres(litres)} ${size === 1 ? 'daily' : `every ${size} days`} from ${f.day(from)}`,
  mulch: ({ size = 0, from }, f) => `With ${f.centimetres(size / 10)} of mulch from ${f.day(from)}`,
  'shade-cloth': ({ from }, f) => `With shade cloth from ${f.day(from)}`,
  'bigger-pot': ({ size = 0 }, f) => `In a pot of ${f.litres(size)}`,
  'vents-open': () => 'With the vents open by day',
  'rain-cover': ({ from }, f) => `With a rain cover from ${f.day(from)}`,
  'water-at-base': ({ from }, f) => `Watered at the base from ${f.day(from)}, not over the leaves`,
  'not-cut': ({ from }, f) => `Without the cut on ${f.day(from)}`,
  'fed-evenly': ({ size = 14, from }, f) => `With a light, balanced feed every ${size} days from ${f.day(from)}`,
  'planted-later': ({ from }, f) => `Planted out two weeks later, on ${f.day(from)}`,
};

/** A change in words; its parts make one sentence. */
interface PreventedInWords {
  what: string;
  risk: string;
  numbers: string;
  range: string;
}

/** Returns a change in words: what, the risk of what, with and without it, and between which it lies. */
export const preventedInWords = (p: Prevention, format: Formatter): PreventedInWords => ({
  what: WITH[p.change](p, format),
  risk: `the risk of ${disorderRow(p.disorder).label.toLowerCase()} would have been`,
  numbers: `${percent(p.riskWith)} instead of ${percent(p.risk)}`,
  range: `between ${percent(p.low)} and ${percent(p.high)}`,
});

/** The rules that a bed or pot may get, as its page lists them. */
export const RULES_IN_WORDS: Readonly<Record<ChangeCode, string>> = {
  'water-by-plan': 'Water when the plan says',
  mulch: 'Mulch from planting on',
  'shade-cloth': 'Shade cloth in heat',
  'bigger-pot': 'Pots of the advised size',
  'vents-open': 'Vents open by day',
  'rain-cover': 'A rain cover in wet weather',
  'water-at-base': 'Water at the base only',
  'not-cut': 'No hard cuts',
  'fed-evenly': 'Little feed, but often',
  'planted-later': 'Plant out two weeks later',
};

/** Returns the habit that would have saved most fruit, in one sentence. */
export const habitInWords = ({ change, findings, risk, riskWith }: Habit): string =>
  `The habit that would have saved most fruit: ${RULES_IN_WORDS[change].toLowerCase()}. It would have lowered the risk of ${findings === 1 ? 'one problem' : `${findings} problems`} from ${percent(risk)} to ${percent(riskWith)}${findings === 1 ? '' : ' on average'}.`;
