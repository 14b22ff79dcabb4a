import { isRecordOf } from '@candid-leaf/contract';
import { SOIL_FEELS } from '@candid-leaf/core/records';
import { useFormat } from '../../lib/garden-context';
import type { ChartDay } from './chart-days';
import { FeltDrop } from './mark-charts';

interface KeyProps {
  days: readonly ChartDay[];
  /** some days are highlighted, and there is a second line of water */
  supported: boolean;
  other: boolean;
}

/** Meaning of the shapes that stand above it; the tallest bar gives the scale. */
export function Key({ days, supported, other }: KeyProps) {
  const format = useFormat();
  const looks = days.flatMap((d) => d.on.seen.filter((r) => isRecordOf(r, 'inspection')));
  const felt = new Set(days.flatMap((d) => d.on.seen.flatMap((r) => (isRecordOf(r, 'soil-check') ? r.data.feel : []))));
  const water = format.litres(Math.max(0, ...days.map((d) => d.wateredL)));
  const rain = format.rain(Math.max(0, ...days.map((d) => d.rainMm)));
  return (
    <span className="flex flex-wrap items-center gap-x-4 gap-y-0.5">
      {days.some((d) => d.wateredL > 0) && (
        <span className="flex items-center gap-1.5">
          <i aria-hidden className="inline-block h-3 w-1.5 bg-rain" /> watered, tallest {water}
        </span>
      )}
      {days.some((d) => d.rainMm > 0) && (
        <span className="flex items-center gap-1.5">
          <i aria-hidden className="inline-block h-3 w-2.5 bg-rain opacity-65" /> rain, tallest {rain}
        </span>
      )}
      {days.some((d) => d.on.feed.length > 0) && (
        <span className="flex items-center gap-1.5">
          <i aria-hidden className="inline-block size-2.5 bg-moist" /> feed, by its nitrogen
        </span>
      )}
      {looks.some((r) => !r.data.allClear) && (
        <span className="flex items-center gap-1.5">
          <i aria-hidden className="inline-block size-2.5 rounded-full bg-ripe" /> signs
        </span>
      )}
      {looks.some((r) => r.data.allClear) && (
        <span className="flex items-center gap-1.5">
          <i aria-hidden className="inline-block size-2.5 rounded-full border-2 border-ink" /> all clear
        </span>
      )}
      {SOIL_FEELS.filter((feel) => felt.has(feel)).map((feel) => (
        <span key={feel} className="flex items-center gap-1.5">
          <FeltDrop feel={feel} /> soil {feel}
        </span>
      ))}
      {days.some((d) => d.moved !== null) && (
        <span className="flex items-center gap-1.5">
          <i aria-hidden className="inline-block h-4 w-1 bg-leaf" /> corrected by a check
        </span>
      )}
      {other && (
        <span className="flex items-center gap-1.5">
          <i aria-hidden className="inline-block w-4 border-t-2 border-dotted border-leaf" /> water with the change
        </span>
      )}
      {supported && (
        <span className="inline-flex items-center gap-1.5">
          <i aria-hidden className="inline-block h-3 w-4 bg-lit" /> supports the finding
        </span>
      )}
    </span>
  );
}
