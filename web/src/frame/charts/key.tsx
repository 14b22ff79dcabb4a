import { useFormat } from '../../lib/garden-context';
import type { ChartDay } from './chart-days';

/** Meaning of the shapes; the tallest bar gives the scale. */
export function Key({ days }: { days: readonly ChartDay[] }) {
  const format = useFormat();
  const water = format.litres(Math.max(0, ...days.map((d) => d.wateredL)));
  const rain = format.rain(Math.max(0, ...days.map((d) => d.rainMm)));
  return (
    <span className="flex flex-wrap items-center gap-x-4 gap-y-0.5">
      <span className="flex items-center gap-1.5">
        <i aria-hidden className="inline-block h-3 w-1.5 bg-rain" /> watered, tallest {water}
      </span>
      <span className="flex items-center gap-1.5">
        <i aria-hidden className="inline-block h-3 w-2.5 bg-rain opacity-45" /> rain, tallest {rain}
      </span>
      <span className="flex items-center gap-1.5">
        <i aria-hidden className="inline-block size-2.5 bg-moist" /> feed, by its nitrogen
      </span>
      <span className="flex items-center gap-1.5">
        <i aria-hidden className="inline-block size-2.5 rounded-full bg-ripe" /> signs{' '}
        <i aria-hidden className="ml-1 inline-block size-2.5 rounded-full border-2 border-ink" /> all clear
      </span>
      <span className="flex items-center gap-1.5">
        <i aria-hidden className="inline-block h-4 w-1 bg-leaf" /> corrected by a check
      </span>
      <span className="inline-flex items-center gap-1.5">
        <i aria-hidden className="inline-block h-3 w-4 bg-lit" /> supports the finding
      </span>
    </span>
  );
}
