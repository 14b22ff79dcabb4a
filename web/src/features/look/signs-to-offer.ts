import { SIGNS, type Crop, type Part, type SignCode, type SignRow } from '@candid-leaf/core/records';

interface Asked {
  crop: Crop;
  part: Part | null;
  /** typed by the gardener */
  words: string;
  /** was it there before? */
  wasThere: (code: SignCode) => boolean;
}

/** The commonest thing to say comes early. */
const NOTHING_THERE: SignCode = 'pest-none-found';
/** So many letters, and words are looked for. */
const LEAST_LETTERS = 2;

/** Which signs stand to be touched: those that fit the words, else those of the part, else those that were there before. */
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
