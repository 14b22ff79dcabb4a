import { SIGNS, type Crop, type Part, type SignCode, type SignRow } from '@candid-leaf/core/records';

interface Asked {
  crop: Crop;
  part: Part | null;
  /** typed by the gardener */
  words: string;
  /** whether it was there before */
  wasThere: (code: SignCode) => boolean;
}

/** "None found" comes early: it is the most common answer. */
const NOTHING_THERE: SignCode = 'pest-none-found';
/** Letters needed to start a search. */
const LEAST_LETTERS = 2;

/** Returns the signs to show: those that match the search, else those of the part, else those seen before. */
export function signsToOffer({ crop, part, words, wasThere }: Asked): (SignRow & { code: SignCode })[] {
  const typed = words.trim().toLowerCase();
  const rank = (code: SignCode): number => (wasThere(code) ? 2 : code === NOTHING_THERE ? 1 : 0);
  const all: readonly (SignRow & { code: SignCode })[] = SIGNS;
  return all
    .filter((s) => {
      if (s.crop && s.crop !== crop) return false;
      if (typed.length >= LEAST_LETTERS) return `${s.label} ${s.line}`.toLowerCase().includes(typed);
      return part === null ? wasThere(s.code) : s.parts.includes(part);
    })
    .sort((a, b) => rank(b.code) - rank(a.code));
}
