import { DRIVERS, DISORDERS } from '@candid-leaf/core/diagnosis';
import { type DisorderCode, plainWordsOf, signRow } from '@candid-leaf/core/records';
import MiniSearch from 'minisearch';
import { searchTerm } from '../../lib/search-terms';

/** Search index: names and words of the problem, its signs and causes. */
const index = new MiniSearch<{ id: DisorderCode; label: string; line: string; signs: string; more: string }>({
  fields: ['label', 'line', 'signs', 'more'],
  processTerm: searchTerm,
  searchOptions: { prefix: true, fuzzy: 0.2, boost: { label: 4, signs: 2 }, combineWith: 'AND' },
});
index.addAll(
  DISORDERS.map((d) => ({
    id: d.code,
    label: `${d.label} ${d.code.replaceAll('-', ' ')} ${d.crop ?? 'tomato pepper'}`,
    line: d.line,
    signs: d.signs.map(([sign]) => `${signRow(sign).label} ${signRow(sign).line} ${plainWordsOf(sign)}`).join(' '),
    more: [...d.drivers.map((x) => DRIVERS[x.driver]), ...Object.values(d.lookAlikes)].join(' '),
  })),
);

/** Returns problems that match the words, best first; null without words. */
export function disordersFor(words: string): DisorderCode[] | null {
  if (words.trim() === '') return null;
  const all = index.search(words);
  // every word must match; if none matches all, any will do
  const hits = all.length > 0 ? all : index.search(words, { combineWith: 'OR' });
  return hits.map((h) => h.id as DisorderCode);
}
