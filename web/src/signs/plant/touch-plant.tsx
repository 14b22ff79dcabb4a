import type { PlantDto } from '@candid-leaf/contract';
import type { Stands } from '@candid-leaf/core/care';
import { type Part, PARTS, type SignCode, signRow } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { PlantDrawing } from './plant-drawing';

export const PART_WORDS: Record<Part, string> = {
  soil: 'Soil and roots',
  'low-leaves': 'Low leaves',
  stem: 'Stem and forks',
  leaves: 'Upper leaves',
  tip: 'Growing tip',
  flowers: 'Flowers',
  fruit: 'Fruit',
  posture: 'The whole plant',
};

/** Position of each part's label beside the drawing, % of its height. */
const PLACE: Record<Part, { side: 'left' | 'right'; top: number }> = {
  posture: { side: 'left', top: 2 },
  tip: { side: 'right', top: 12 },
  flowers: { side: 'right', top: 31 },
  leaves: { side: 'left', top: 36 },
  fruit: { side: 'right', top: 56 },
  stem: { side: 'left', top: 56 },
  'low-leaves': { side: 'left', top: 76 },
  soil: { side: 'right', top: 84 },
};

interface Props {
  plant: PlantDto;
  /** its state, if known */
  stands?: Stands | undefined;
  chosen?: Part | null;
  /** current signs; their parts are marked */
  signs: readonly SignCode[];
  /** null: read-only */
  onTouch: ((part: Part) => void) | null;
}

/** The plant as a form: each part of the drawing, and its label, can be touched. */
export function TouchPlant({ plant, stands, chosen, signs, onTouch }: Props) {
  const marked = (part: Part) =>
    signs.filter((s) => signRow(s).kind !== 'setting' && signRow(s).parts[0] === part).length;
  return (
    <div className="relative mx-auto w-full max-w-sm">
      <PlantDrawing
        plant={{ ...plant, load: stands?.load, limp: stands?.limp }}
        held={stands?.held}
        className="mx-auto block w-[58%]"
        wrap={(part, drawing) => (
          <g
            key={part}
            onClick={() => onTouch?.(part)}
            className={clsx(
              onTouch && 'cursor-pointer transition-opacity hover:opacity-80',
              chosen && chosen !== part && 'opacity-40',
            )}
            aria-hidden
          >
            {drawing}
          </g>
        )}
      />
      {PARTS.map((part) => {
        const { side, top } = PLACE[part];
        const n = marked(part);
        if (!onTouch && n === 0) return null;
        return (
          <button
            key={part}
            type="button"
            aria-pressed={chosen === undefined ? undefined : chosen === part}
            onClick={() => onTouch?.(part)}
            disabled={!onTouch}
            style={{ top: `${top}%` }}
            className={clsx(
              'absolute min-h-11 max-w-[44%] rounded-lg border px-2 py-1 text-left text-sm leading-4 font-semibold',
              side === 'left' ? 'left-0' : 'right-0',
              chosen === part
                ? 'border-leaf bg-leaf text-onleaf'
                : n > 0
                  ? 'border-ripe bg-card text-ripe'
                  : 'border-line bg-card text-ink hover:bg-leafwash',
            )}
          >
            {PART_WORDS[part]}
            {n > 0 && <span className="font-normal"> · {n === 1 ? '1 sign' : `${n} signs`}</span>}
          </button>
        );
      })}
    </div>
  );
}
