import {
  HIDDEN,
  plainWordsOf,
  signRow,
  SIGNS,
  type Crop,
  type Part,
  type SignCode,
  type SignRow,
} from '@candid-leaf/core/records';
import MiniSearch from 'minisearch';
import { searchTerm } from '../../lib/search-terms';

interface Asked {
  crop: Crop;
  part: Part | null;
  /** typed by the gardener */
  words: string;
  /** likeliest first */
  likely: readonly SignCode[];
  /** whether it was there before */
  wasThere: (code: SignCode) => boolean;
}

/** "None found" comes early: it is the most common answer. */
const NOTHING_THERE: SignCode = 'pest-none-found';
/**
 * Returns whether a look at the drawings is enough to say that a sign is not there. What takes digging, cutting or
 * turning a leaf was not looked for, and of "none found" it would say nothing.
 */
export const isLookedFor = (code: SignCode): boolean =>
  code !== NOTHING_THERE && signRow(code).kind === 'sign' && !HIDDEN.has(code);
/** Letters needed to start a search. */
const LEAST_LETTERS = 2;

/** Search index of the signs: their names, lines, and what people type for them. */
const index = new MiniSearch<{ id: SignCode; label: string; line: string; plain: string }>({
  fields: ['label', 'line', 'plain'],
  processTerm: searchTerm,
  searchOptions: { prefix: true, fuzzy: 0.2, boost: { label: 4, plain: 3 }, combineWith: 'AND' },
});
index.addAll(SIGNS.map((s) => ({ id: s.code, label: s.label, line: s.line, plain: plainWordsOf(s.code) })));

/** Returns the signs that match the words, best first; if none matches all words, any will do. */
function signsFor(words: string): SignCode[] {
  const all = index.search(words);
  return (all.length > 0 ? all : index.search(words, { combineWith: 'OR' })).map((h) => h.id as SignCode);
}

/** Returns the signs to show: those that match the search, else those of the part, likeliest first, else those seen before. */
export function signsToOffer({ crop, part, words, likely, wasThere }: Asked): (SignRow & { code: SignCode })[] {
  const typed = words.trim().toLowerCase();
  const place = new Map(likely.map((code, i) => [code, i]));
  const rank = (code: SignCode): number =>
    wasThere(code) ? -2 : code === NOTHING_THERE ? -1 : (place.get(code) ?? likely.length);
  const all: readonly (SignRow & { code: SignCode })[] = SIGNS;
  if (typed.length >= LEAST_LETTERS) {
    const found = signsFor(typed);
    return all
      .filter((s) => (!s.crop || s.crop === crop) && found.includes(s.code))
      .sort((a, b) => found.indexOf(a.code) - found.indexOf(b.code));
  }
  return all
    .filter((s) => {
      if (s.crop && s.crop !== crop) return false;
      return part === null ? wasThere(s.code) : s.parts.includes(part);
    })
    .sort((a, b) => rank(a.code) - rank(b.code));
}
