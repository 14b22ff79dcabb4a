import type { Crop } from '../records/plant.js';
import { onlyCropOf, type DisorderCode } from '../records/vocabulary/disorders.js';
import { must } from '../units/lists.js';

/** What a resistance letter on a packet means. */
interface LetterRow {
  letters: string;
  means: string;
  /** the problem it protects against, by our code; null: a disease the handbook does not cover */
  disorder: DisorderCode | null;
  crop?: Crop;
  /** one of the two wilts that the problem stands for: only both together protect against it */
  half?: 'verticillium' | 'fusarium';
}

/**
 * Codes of the seed trade (International Seed Federation, "Recommended codes for pest organisms", and the short forms
 * that packets print, from memory). A letter covers only some races: it lowers the chance but does not rule the
 * disease out.
 */
export const LETTERS: readonly LetterRow[] = [
  { letters: 'V', means: 'verticillium wilt', disorder: 'vascular-wilt', half: 'verticillium' },
  { letters: 'Va', means: 'verticillium wilt', disorder: 'vascular-wilt', half: 'verticillium' },
  { letters: 'Vd', means: 'verticillium wilt', disorder: 'vascular-wilt', half: 'verticillium' },
  { letters: 'F', means: 'fusarium wilt', disorder: 'vascular-wilt', half: 'fusarium' },
  { letters: 'Fol', means: 'fusarium wilt', disorder: 'vascular-wilt', half: 'fusarium', crop: 'tomato' },
  { letters: 'FF', means: 'fusarium wilt, two races', disorder: 'vascular-wilt', half: 'fusarium', crop: 'tomato' },
  { letters: 'FFF', means: 'fusarium wilt, three races', disorder: 'vascular-wilt', half: 'fusarium', crop: 'tomato' },
  { letters: 'For', means: 'fusarium crown and root rot', disorder: null, crop: 'tomato' },
  { letters: 'N', means: 'root-knot nematodes', disorder: 'root-knot-nematodes' },
  { letters: 'Ma', means: 'root-knot nematodes', disorder: 'root-knot-nematodes' },
  { letters: 'Mi', means: 'root-knot nematodes', disorder: 'root-knot-nematodes' },
  { letters: 'Mj', means: 'root-knot nematodes', disorder: 'root-knot-nematodes' },
  { letters: 'T', means: 'tobacco mosaic virus', disorder: 'mosaic-virus' },
  { letters: 'TMV', means: 'tobacco mosaic virus', disorder: 'mosaic-virus' },
  { letters: 'ToMV', means: 'tomato mosaic virus', disorder: 'mosaic-virus' },
  { letters: 'CMV', means: 'cucumber mosaic virus', disorder: 'mosaic-virus' },
  { letters: 'PVY', means: 'potato virus Y', disorder: 'mosaic-virus' },
  { letters: 'TSWV', means: 'spotted wilt virus', disorder: 'spotted-wilt-virus' },
  { letters: 'SW', means: 'spotted wilt virus', disorder: 'spotted-wilt-virus' },
  { letters: 'TYLCV', means: 'yellow leaf curl virus', disorder: 'leaf-curl-virus', crop: 'tomato' },
  { letters: 'A', means: 'alternaria stem canker', disorder: null, crop: 'tomato' },
  { letters: 'AAL', means: 'alternaria stem canker', disorder: null, crop: 'tomato' },
  { letters: 'ASC', means: 'alternaria stem canker', disorder: null, crop: 'tomato' },
  { letters: 'EB', means: 'early blight', disorder: 'early-blight', crop: 'tomato' },
  { letters: 'LB', means: 'late blight', disorder: 'late-blight', crop: 'tomato' },
  { letters: 'Pi', means: 'late blight', disorder: 'late-blight', crop: 'tomato' },
  { letters: 'Ph', means: 'late blight', disorder: 'late-blight', crop: 'tomato' },
  { letters: 'C', means: 'leaf mould', disorder: 'leaf-mould', crop: 'tomato' },
  { letters: 'Cf', means: 'leaf mould', disorder: 'leaf-mould', crop: 'tomato' },
  { letters: 'Pf', means: 'leaf mould', disorder: 'leaf-mould', crop: 'tomato' },
  { letters: 'PM', means: 'powdery mildew', disorder: 'powdery-mildew' },
  { letters: 'On', means: 'powdery mildew', disorder: 'powdery-mildew', crop: 'tomato' },
  { letters: 'Lt', means: 'powdery mildew', disorder: 'powdery-mildew' },
  { letters: 'S', means: 'grey leaf spot (stemphylium)', disorder: null },
  { letters: 'Ss', means: 'grey leaf spot (stemphylium)', disorder: null },
  { letters: 'St', means: 'grey leaf spot (stemphylium)', disorder: null },
  { letters: 'ToBRFV', means: 'brown rugose fruit virus', disorder: null },
  { letters: 'Tm', means: 'mosaic viruses of the tobacco group', disorder: 'mosaic-virus', crop: 'pepper' },
  { letters: 'L', means: 'mosaic viruses of the tobacco group', disorder: 'mosaic-virus', crop: 'pepper' },
  { letters: 'X', means: 'bacterial leaf spot', disorder: 'bacterial-leaf-spot', crop: 'pepper' },
  { letters: 'Xcv', means: 'bacterial leaf spot', disorder: 'bacterial-leaf-spot' },
  { letters: 'BLS', means: 'bacterial leaf spot', disorder: 'bacterial-leaf-spot' },
  { letters: 'Xv', means: 'bacterial leaf spot', disorder: 'bacterial-leaf-spot' },
  { letters: 'Bs', means: 'bacterial leaf spot', disorder: 'bacterial-leaf-spot' },
  { letters: 'Pst', means: 'bacterial speck', disorder: null, crop: 'tomato' },
  { letters: 'BW', means: 'bacterial wilt', disorder: 'bacterial-wilt' },
  { letters: 'Rs', means: 'bacterial wilt', disorder: 'bacterial-wilt' },
  { letters: 'Pc', means: 'phytophthora blight', disorder: 'phytophthora-blight', crop: 'pepper' },
];

const byLetters = new Map(LETTERS.map((r) => [r.letters.toLowerCase(), r]));
/** A race after the letter ("F3", "Fol:0-2", "BLS 1–3") narrows it; the disease is the same. */
const withoutRaces = (code: string): string => code.replace(/[\s:]*\d[\d,\s–-]*$/, '');

interface ReadLetters {
  /** `level` as the packet says: high, or only intermediate; null if it does not say */
  known: { code: string; row: LetterRow; level: 'high' | 'intermediate' | null }[];
  /** letters we could not read; nothing is guessed */
  unknown: string[];
}

/**
 * Parses the letters of a packet ("VFNT", "V F1 F2 N", "HR: ToMV, Fol:0-2"). Single letters may be joined without
 * spaces.
 */
export function readLetters(text: string): ReadLetters {
  const out: ReadLetters = { known: [], unknown: [] };
  const words = text
    .replace(/\b([HI])R\s*:/gi, ' $1R: ')
    .replace(/(\d)\s*[-–]\s*(\d)/g, '$1-$2')
    .replace(/([A-Za-z])\s*:\s*(\d)/g, '$1:$2')
    .split(/[\s,;/()]+/)
    .filter((w) => w !== '' && !/^[\d-]+$/.test(w));
  let level: ReadLetters['known'][number]['level'] = null;
  for (const word of words) {
    if (/^[HI]R:$/i.test(word)) {
      level = /^H/i.test(word) ? 'high' : 'intermediate';
      continue;
    }
    const row = byLetters.get(withoutRaces(word).toLowerCase());
    if (row) out.known.push({ code: word, row, level });
    else if (/^([VFNTASC]\d*)+$/.test(word))
      for (const letter of word.replace(/\d/g, ''))
        out.known.push({ code: letter, row: must(byLetters.get(letter.toLowerCase())), level });
    else out.unknown.push(word);
  }
  return out;
}

/**
 * Returns the problems the letters protect a crop against, each once. An intermediate resistance protects against none:
 * in a bad year the plant falls ill. Against wilt both letters are needed, as V does not stop fusarium.
 * @example shieldsFrom('VF', 'tomato') // ['vascular-wilt']
 */
export function shieldsFrom(text: string | null | undefined, crop: Crop): DisorderCode[] {
  const strong = readLetters(text ?? '').known.filter(
    ({ level, row }) => level !== 'intermediate' && (row.crop ?? crop) === crop,
  );
  const halves = new Set(strong.flatMap(({ row }) => row.half ?? []));
  const named = strong.flatMap(({ row }) =>
    row.disorder && (onlyCropOf(row.disorder) ?? crop) === crop && (row.half === undefined || halves.size === 2)
      ? [row.disorder]
      : [],
  );
  return [...new Set(named)];
}
