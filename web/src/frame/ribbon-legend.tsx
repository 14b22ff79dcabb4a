import { TRACKS, type Track } from '@candid-leaf/core/records';
import { CircleHelp } from 'lucide-react';
import type { ReactNode } from 'react';
import { useFormat } from '../lib/garden-context';
import { Opens } from '../ui/opens';
import { DueMark, TrackMark } from '../ui/track-mark';

const TRACK_WORDS: Record<Track, string> = {
  water: 'watered',
  feed: 'fed',
  work: 'pruned, tied, sprayed or picked',
  seen: 'looked over, or soil checked',
  note: 'a note',
};

interface Props {
  /** range of the ribbon's temperature bars, °C */
  lowC: number;
  highC: number;
}

/** Meaning of the ribbon's marks. */
export function RibbonLegend({ lowC, highC }: Props) {
  const format = useFormat();
  return (
    <Opens
      label="What the marks of the days mean"
      className="grid w-11 shrink-0 place-items-center text-soft hover:bg-leafwash"
      button={<CircleHelp aria-hidden size={18} />}
    >
      {() => (
        <>
          <ul className="flex flex-col gap-1.5">
            <Line mark={<Bar className="h-5 w-2 rounded-sm bg-warm" />}>
              from night to day temperature; the strip ranges from {format.temperature(lowC)} to{' '}
              {format.temperature(highC)}
            </Line>
            <Line mark={<Bar className="h-2 w-4 rounded-sm bg-rain" />}>
              rain: the thicker the more, up to {format.rain(25)}
            </Line>
            {TRACKS.map((t) => (
              <Line key={t} mark={<TrackMark track={t} />}>
                {TRACK_WORDS[t]}
              </Line>
            ))}
            <Line mark={<DueMark />}>something is due</Line>
            <Line
              mark={
                <Bar className="h-4 w-4 border border-line bg-[repeating-linear-gradient(135deg,transparent_0_3px,var(--color-line)_3px_4px)]" />
              }
            >
              forecast days
            </Line>
          </ul>
          <p className="mt-2 text-sm text-soft">Touch a day to see the water left on it.</p>
        </>
      )}
    </Opens>
  );
}

const Bar = ({ className }: { className: string }) => <span className={className} />;

const Line = ({ mark, children }: { mark: ReactNode; children: ReactNode }) => (
  <li className="flex items-start gap-2.5 leading-snug">
    <span aria-hidden className="grid h-5 w-5 shrink-0 place-items-center">
      {mark}
    </span>
    <span>{children}</span>
  </li>
);
