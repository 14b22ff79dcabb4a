import type { Crop } from '../records/plant.js';
import { onlyCropOf, type DisorderCode } from '../records/vocabulary/disorders.js';

/** What the letters behind a name on a packet stand for. */
export interface LetterRow {
  letters: string;
  means: string;
  /** what it shields from, in our words; null: a disease that the handbook does not know */
  disorder: DisorderCode | null;
  crop?: Crop;
}

/**
 * Codes of the seed trade (International Seed Federation, "Recommended codes for pest organisms", and the short forms that packets
 * print, from memory). A letter speaks of some races only: it lowers the chance, it does not shut the disease out.
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
/** A race behind the letter ("F3", "Fol:0-2", "BLS 1–3") narrows it; what it shields from is the same. */
const withoutRaces = (code: string): string => code.replace(/[\s:]*\d[\d,\s–-]*$/, '');

export interface ReadLetters {
  known: { code: string; row: LetterRow }[];
  /** what was not understood; nothing is guessed */
  unknown: string[];
}

/**
 * Reads the letters of a packet ("VFNT", "V F1 F2 N", "HR: ToMV, Fol:0-2"). Short single letters may stand without a space between them.
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
        out.known.push({ code: letter, row: byLetters.get(letter.toLowerCase())! });
    else out.unknown.push(word);
  }
  return out;
}

/** What the letters shield a crop from, each once. */
export const shieldsFrom = (text: string | null | undefined, crop: Crop): DisorderCode[] => [
  ...new Set(
    readLetters(text ?? '').known.flatMap(({ row }) =>
      row.disorder && (row.crop ?? crop) === crop && (onlyCropOf(row.disorder) ?? crop) === crop ? [row.disorder] : [],
    ),
  ),
];
