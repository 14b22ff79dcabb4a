import type { Track } from '@candid-leaf/core/records';
import type { ReactNode } from 'react';

/**
 * One small shape per record track, so none relies on colour: drop, square, cross, ring, line. The same on the ribbon
 * and everywhere else.
 */
const SHAPES: Record<Track, ReactNode> = {
  water: <path d="M5 0.5C7.5 4 8.5 5.6 8.5 6.8a3.4 3.4 0 0 1-7 0C1.5 5.6 2.5 4 5 0.5z" className="fill-rain" />,
  feed: <rect x="2" y="2.5" width="6" height="6" className="fill-moist" />,
  work: <path d="M2 1l6 8M8 1l-6 8" className="stroke-leaf" strokeWidth="1.8" />,
  seen: <circle cx="5" cy="5.5" r="3.2" className="fill-none stroke-ink" strokeWidth="1.6" />,
  note: <path d="M1.5 3.5h7M1.5 6.5h5" className="stroke-soft" strokeWidth="1.6" />,
};

export function TrackMark({ track }: { track: Track }) {
  return (
    <svg viewBox="0 0 10 10" className="size-2.5 shrink-0" aria-hidden>
      {SHAPES[track]}
    </svg>
  );
}

/** A mark for due tasks. */
export function DueMark() {
  return (
    <svg viewBox="0 0 10 10" className="size-2.5 shrink-0" aria-hidden>
      <path d="M5 1v5M5 8v1.4" className="stroke-ripe" strokeWidth="2.2" />
    </svg>
  );
}
