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
}

/**
 * Codes of the seed trade (International Seed Federation, "Recommended codes for pest organisms", and the short forms
 * that packets print, from memory). A letter covers only some races: it lowers the chance but does not rule the
 * disease out.
 */
export const LETTERS: readonly LetterRow[] = [
  { letters: 'V', means: 'verticillium wilt', disorder: 'vascular-wilt' },
  { letters: 'Vd', means: 'verticillium wilt', disorder: 'vascular-wilt' },
  { letters: 'F', means: 'fusarium wilt', disorder: 'vascular-wilt' },
  { letters: 'Fol', means: 'fusarium wilt', disorder: 'vascular-wilt', crop: 'tomato' },
  { letters: 'FF', means: 'fusarium wilt, two races', disorder: 'vascular-wilt', crop: 'tomato' },
  { letters: 'FFF', means: 'fusarium wilt, three races', disorder: 'vascular-wilt', crop: 'tomato' },
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
  { letters: 'A', means: 'alternaria (stem canker or early blight)', disorder: 'early-blight', crop: 'tomato' },
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
  { letters: 'S', means: 'septoria leaf spot', disorder: 'septoria-leaf-spot', crop: 'tomato' },
  { letters: 'St', means: 'grey leaf spot (stemphylium)', disorder: null },
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
  known: { code: string; row: LetterRow }[];
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
    .replace(/\b[HI]R\s*:/gi, ' ')
    .replace(/(\d)\s*[-–]\s*(\d)/g, '$1-$2')
    .replace(/([A-Za-z])\s*:\s*(\d)/g, '$1:$2')
    .split(/[\s,;/()]+/)
    .filter((w) => w !== '' && !/^[\d-]+$/.test(w));
  for (const word of words) {
    const row = byLetters.get(withoutRaces(word).toLowerCase());
    if (row) out.known.push({ code: word, row });
    else if (/^([VFNTASC]\d*)+$/.test(word))
      for (const letter of word.replace(/\d/g, ''))
        out.known.push({ code: letter, row: must(byLetters.get(letter.toLowerCase())) });
    else out.unknown.push(word);
  }
  return out;
}

/**
 * Returns the problems the letters protect a crop against, each once.
 * @example shieldsFrom('VF', 'tomato') // ['vascular-wilt']
 */
export const shieldsFrom = (text: string | null | undefined, crop: Crop): DisorderCode[] => [
  ...new Set(
    readLetters(text ?? '').known.flatMap(({ row }) =>
      row.disorder && (row.crop ?? crop) === crop && (onlyCropOf(row.disorder) ?? crop) === crop ? [row.disorder] : [],
    ),
  ),
];
