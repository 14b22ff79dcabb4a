import type { Formatter } from '../units/formatter.js';
import type { Gate, GateRow } from './gate.js';

const CHECK_WORDS: Record<GateRow['check'], string> = {
  hardened: 'hardened off',
  soil: 'soil',
  nights: 'coldest night of the week',
  days: 'usual day of the week',
  frost: 'last frost',
  wind: 'wind today',
};

/** One line of the checklist. */
export function gateRowInWords(r: GateRow, f: Formatter): string {
  const what = capital(CHECK_WORDS[r.check]);
  if (r.check === 'hardened')
    return r.ok === null
      ? `${what}: nothing is written down`
      : r.ok
        ? `${what}`
        : `Not ${CHECK_WORDS.hardened} to the end yet`;
  if (r.check === 'frost')
    return r.ok === null
      ? `${what}: no frost day and no forecast`
      : r.ok
        ? `${what} is past`
        : r.found !== null && r.found <= r.wanted
          ? `Frost is possible: ${f.temperature(r.found)} expected`
          : `${what} is not past`;
  if (r.found === null) return `${what}: nobody knows`;
  if (r.check === 'wind') return `${what}: ${f.windSpeed(r.found)}, ${r.ok ? 'calm enough' : 'too strong'}`;
  const error = r.error ? ` (estimated, give or take ${f.warmthBy(r.error)})` : '';
  return `${what}: ${f.temperature(r.found)}${error}, wanted ${f.temperature(r.wanted)}`;
}

/** What follows, in a sentence. */
export function gateInWords(g: Gate, f: Formatter): string {
  const bad = g.rows.filter((r) => r.ok === false).map((r) => CHECK_WORDS[r.check]);
  const v = g.verdict;
  const cost =
    g.weekCosts === null
      ? ''
      : ` A week later costs about ${plural(Math.round(g.weekCosts), 'day')} of harvest; a plant that sulks in the cold loses more.`;
  if (v.go === 'today') return 'Plant out today.';
  if (v.go === 'ask')
    return `Nothing known speaks against it, but nobody knows: ${v.about.map((c) => CHECK_WORDS[c]).join(', ')}. A thermometer at finger depth in the morning, and a look at the week’s forecast, decide.`;
  if (v.go === 'at-risk')
    return `At risk because of ${bad.join(' and ')}: only ${v.cover === 'fleece' ? 'under fleece or cloches by night' : 'behind a wind-break'}.${cost}`;
  return `Wait ${v.until ? `until ${f.day(v.until)}` : 'longer than is foreseen, and look again in a week'}: ${bad.join(', ')}.${cost}`;
}
const plural = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;
const capital = (t: string): string => t.charAt(0).toUpperCase() + t.slice(1);
