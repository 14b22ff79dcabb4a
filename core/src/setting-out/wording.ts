import type { Formatter } from '../units/formatter.js';
import type { Gate, GateRow } from './gate.js';
import { DARK_FABRIC_WARMS_K } from './soil-warmth.js';
import { capital } from '../units/text.js';

const CHECK_WORDS: Record<GateRow['check'], string> = {
  hardened: 'hardened off',
  soil: 'soil',
  nights: 'coldest night of the week',
  days: 'usual day of the week',
  frost: 'last frost date',
  wind: 'today’s wind',
};

/** Returns one line of the checklist. */
export function gateRowInWords(r: GateRow, f: Formatter): string {
  const what = capital(CHECK_WORDS[r.check]);
  if (r.check === 'hardened')
    return r.ok === null ? `${what}: nothing recorded` : r.ok ? `${what}` : `not fully ${CHECK_WORDS.hardened} yet`;
  if (r.check === 'frost')
    return r.ok === null
      ? `${what}: no frost date and no forecast`
      : r.ok
        ? `${what} has passed`
        : r.found !== null && r.found <= r.wanted
          ? `Frost is possible: ${f.temperature(r.found)} forecast`
          : `${what} has not passed`;
  if (r.found === null) return `${what}: unknown`;
  if (r.check === 'wind') return `${what}: ${f.windSpeed(r.found)}, ${r.ok ? 'calm enough' : 'too strong'}`;
  const error = r.error ? ` (estimated, give or take ${f.warmthBy(r.error)})` : '';
  return `${what}: ${f.temperature(r.found)}${error}, needs ${f.temperature(r.wanted)}`;
}

/** Returns the result in a sentence. */
export function gateInWords(g: Gate, f: Formatter): string {
  const bad = g.rows.filter((r) => r.ok === false).map((r) => CHECK_WORDS[r.check]);
  const v = g.verdict;
  const cost =
    g.weekCosts === null
      ? ''
      : ` A week later costs about ${plural(Math.round(g.weekCosts), 'day')} of harvest; a plant stalled by cold loses more.`;
  if (v.go === 'today')
    return v.inTheEvening
      ? 'Plant out this evening: it is too hot by day. Hang shade cloth over them for the first days.'
      : 'Plant out today.';
  if (v.go === 'ask')
    return `Nothing known argues against it, but we don’t know: ${v.about.map((c) => CHECK_WORDS[c]).join(', ')}. Check with a thermometer at finger depth in the morning and the week’s forecast.`;
  if (v.go === 'at-risk')
    return `Risky because of ${bad.join(' and ')}: only ${v.cover === 'fleece' ? 'under fleece or cloches by night' : 'behind a wind-break'}.${cost}`;
  const fabric = g.warmSoil
    ? ` Dark fabric on the bed warms the soil by about ${f.warmthBy(DARK_FABRIC_WARMS_K)}.`
    : '';
  return `Wait ${v.until ? `until ${f.day(v.until)}` : 'until after the forecast, and check again in a week'}: ${bad.join(', ')}.${fabric}${cost}`;
}
const plural = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;
