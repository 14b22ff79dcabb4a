import { DRIVERS, DISORDERS } from '@candid-leaf/core/diagnosis';
import { type DisorderCode, signRow } from '@candid-leaf/core/records';
import MiniSearch from 'minisearch';

/** What a gardener may call it: the names and words of the trouble, of its signs and of what brings it. */
const index = new MiniSearch<{ id: DisorderCode; label: string; line: string; signs: string; more: string }>({
  fields: ['label', 'line', 'signs', 'more'],
  searchOptions: { prefix: true, fuzzy: 0.2, boost: { label: 4, signs: 2 }, combineWith: 'AND' },
});
index.addAll(
  DISORDERS.map((d) => ({
    id: d.code,
    label: `${d.label} ${d.code.replaceAll('-', ' ')} ${d.crop ?? 'tomato pepper'}`,
    line: d.line,
    signs: d.signs.map(([sign]) => `${signRow(sign).label} ${signRow(sign).line}`).join(' '),
    more: [...d.drivers.map((x) => DRIVERS[x.driver]), ...Object.values(d.lookAlikes)].join(' '),
  })),
);

/** Disorders that fit the words, best first; with no word, null. */
export function disordersFor(words: string): DisorderCode[] | null {
  if (words.trim() === '') return null;
  const all = index.search(words);
  // every word must fit; where none fits all of them, any of them will do
  const hits = all.length > 0 ? all : index.search(words, { combineWith: 'OR' });
  return hits.map((h) => h.id as DisorderCode);
}
