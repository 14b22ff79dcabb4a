import { marginsOf, pagesOf, type LabelSheet } from '../sheets';
import { Qr } from './qr';

/** What a label says. */
export interface LabelWords {
  key: string;
  name: string;
  /** variety, place or nothing */
  second: string | null;
  /** planting day, or nothing */
  third: string | null;
  address: string;
}

interface Props {
  sheet: LabelSheet;
  labels: readonly LabelWords[];
  used: number;
}

const PAD_MM = 1;
const GAP_MM = 1.5;
/** Part of a label's width for the code. */
const CODE_SHARE = 0.42;
/** Mean width of a letter, as a share of its size. */
const LETTER_SHARE = 0.57;
const MOST_LETTER_MM = 5;
/** Smallest letters that are read at arm's length in the garden, mm. */
const LEAST_LETTER_MM = 2.1;

/** The labels on their paper, in real size: what is seen is what is printed. */
export function Paper({ sheet, labels, used }: Props) {
  const { page, label, columns } = sheet;
  const { left, top } = marginsOf(sheet);
  return (
    <div className="flex flex-col gap-4 print:block">
      {/* the printer takes the size of the paper from here, and no margin of its own */}
      <style>{`@page { size: ${page.width}mm ${page.height}mm; margin: 0 } @media print { body { background: var(--color-sheet) } main { padding: 0 !important; margin: 0 !important; max-width: none !important } }`}</style>
      {pagesOf(labels, sheet, used).map((list, i) => (
        <div
          key={i}
          className="overflow-hidden border border-line bg-sheet text-print print:break-after-page print:border-0"
          style={{ width: `${page.width}mm`, height: `${page.height}mm`, padding: `${top}mm ${left}mm` }}
        >
          <ul
            aria-label={`Page ${i + 1}`}
            className="grid"
            style={{ gridTemplateColumns: `repeat(${columns}, ${label.width}mm)`, gridAutoRows: `${label.height}mm` }}
          >
            {list.map((words, k) =>
              words ? <Label key={words.key} words={words} sheet={sheet} /> : <li key={`used ${k}`} aria-hidden />,
            )}
          </ul>
        </div>
      ))}
    </div>
  );
}

function Label({
  words: { name, second, third, address },
  sheet: { label },
}: {
  words: LabelWords;
  sheet: LabelSheet;
}) {
  const code = Math.min(label.height - 2 * PAD_MM, label.width * CODE_SHARE, 34);
  const lines = [name, second, third].filter((line) => line !== null);
  const room = label.width - code - 2 * PAD_MM - GAP_MM;
  const longest = Math.max(...lines.map((line) => line.length));
  const letter = Math.max(
    LEAST_LETTER_MM,
    Math.min(MOST_LETTER_MM, (label.height - 2 * PAD_MM) / (lines.length * 1.3), room / (longest * LETTER_SHARE)),
  );
  return (
    <li
      className="flex items-center overflow-hidden outline outline-dashed outline-line print:outline-0"
      style={{ padding: `${PAD_MM}mm`, gap: `${GAP_MM}mm` }}
    >
      <Qr text={address} sizeMm={code} />
      <span className="min-w-0 leading-tight" style={{ fontSize: `${letter}mm` }}>
        {lines.map((line, i) => (
          <span key={i} className={i === 0 ? 'block truncate font-semibold' : 'block truncate'}>
            {line}
          </span>
        ))}
      </span>
    </li>
  );
}
