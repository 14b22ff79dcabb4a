/** A sheet of labels, or tape: mm. */
export interface LabelSheet {
  code: string;
  title: string;
  page: { width: number; height: number };
  columns: number;
  rows: number;
  label: { width: number; height: number };
}

const A4 = { width: 210, height: 297 };
const LETTER = { width: 215.9, height: 279.4 };

const sheet = (
  paper: 'A4' | 'letter',
  columns: number,
  rows: number,
  [width, height]: readonly [number, number],
): LabelSheet => ({
  code: `${paper}-${columns * rows}`.toLowerCase(),
  title: `${paper === 'A4' ? 'A4' : 'Letter'}, ${columns * rows} labels`,
  page: paper === 'A4' ? A4 : LETTER,
  columns,
  rows,
  label: { width, height },
});

const tape = (height: number, width: number, inches: string): LabelSheet => ({
  code: `tape-${height}`,
  title: `Tape, ${height} mm (${inches} in)`,
  page: { width, height },
  columns: 1,
  rows: 1,
  label: { width, height },
});

/** Common sheets by the size of their labels, in the middle of the paper; and tapes. */
export const SHEETS: readonly LabelSheet[] = [
  sheet('A4', 2, 4, [105, 74]),
  sheet('A4', 3, 7, [63.5, 38.1]),
  sheet('A4', 3, 8, [70, 36]),
  sheet('A4', 4, 10, [48.5, 25.4]),
  sheet('A4', 5, 13, [38.1, 21.2]),
  sheet('letter', 2, 5, [101.6, 50.8]),
  sheet('letter', 3, 10, [66.7, 25.4]),
  sheet('letter', 4, 15, [44.4, 16.9]),
  tape(12, 50, '½'),
  tape(18, 60, '¾'),
  tape(24, 70, '1'),
];

/** Returns a sheet by its code; the first if there is none. */
export const sheetOf = (code: string): LabelSheet => SHEETS.find((s) => s.code === code) ?? SHEETS[0]!;

/** Returns margins of the paper around the labels, mm. */
export const marginsOf = ({ page, columns, rows, label }: LabelSheet): { left: number; top: number } => ({
  left: (page.width - columns * label.width) / 2,
  top: (page.height - rows * label.height) / 2,
});

/**
 * Returns the labels page by page.
 * @param used labels already taken from the first sheet; their places stay empty
 */
export function pagesOf<T>(labels: readonly T[], s: LabelSheet, used = 0): (T | null)[][] {
  const each = s.columns * s.rows;
  const all = [...Array.from({ length: used % each }, () => null), ...labels];
  return Array.from({ length: Math.ceil(all.length / each) }, (_, i) => all.slice(i * each, (i + 1) * each));
}
