import type { RibbonDay } from '@candid-leaf/contract';
import type { Units } from '@candid-leaf/core/units';
import clsx from 'clsx';
import { format, parseISO } from 'date-fns';
import { useSearchParams } from 'react-router';
import { useGarden } from '../data/garden-context';

const HEIGHT = 34;

/** Warmth on one scale for all days shown, °C. */
function scaleOf(days: readonly RibbonDay[]): (celsius: number) => number {
  const lows = days.flatMap((d) => (d.weather ? [d.weather.tMinC] : []));
  const highs = days.flatMap((d) => (d.weather ? [d.weather.tMaxC] : []));
  const low = Math.min(...lows, 8);
  const high = Math.max(...highs, 32);
  return (c) => HEIGHT - ((c - low) / (high - low)) * HEIGHT;
}

const DONE_WORDS = {
  watering: 'watered',
  feeding: 'fed',
  pruning: 'cut',
  inspection: 'looked over',
  'soil-check': 'soil felt',
  note: 'noted',
  spray: 'sprayed',
  event: 'event',
  'pot-weight': 'weighed',
} as const;

function spoken(d: RibbonDay, units: Units, today: string): string {
  const w = d.weather;
  const parts = [
    format(parseISO(d.day), 'EEEE d MMMM'),
    ...(d.day === today ? ['today'] : []),
    ...(w ? [`${showTemperature(w.tMinC, units)} to ${showTemperature(w.tMaxC, units)}`] : ['no weather known']),
    ...(w && w.rainMm > 0
      ? [`${w.kind === 'forecast' ? `${w.rainChancePct ?? 0} % chance of ` : ''}${showRain(w.rainMm, units)} of rain`]
      : []),
    ...Object.keys(d.done).map((k) => DONE_WORDS[k as keyof typeof DONE_WORDS]),
    ...(d.due > 0 ? [`${d.due} due`] : []),
  ];
  return parts.join(', ');
}

/** Two weeks back, today, a week ahead. Touching a day makes the page speak of that day; touching it again, of today. */
export function Ribbon({ days, today }: { days: RibbonDay[]; today: string }) {
  const [params, setParams] = useSearchParams();
  const { units } = useGarden();
  const chosen = params.get('day');
  const y = scaleOf(days);
  const here = days.findIndex((d) => d.day === today);
  const choose = (day: string) =>
    setParams(
      (old) => {
        if (day === chosen || day === today) old.delete('day');
        else old.set('day', day);
        return old;
      },
      { replace: true, preventScrollReset: true },
    );
  return (
    <ol aria-label="Days" className="flex">
      {days.map((d, i) => {
        const w = d.weather;
        const ahead = d.day > today;
        const pressed = chosen === d.day;
        return (
          <li key={d.day} className={clsx('min-w-0 flex-1', Math.abs(i - here) > 3 && 'max-sm:hidden')}>
            <button
              type="button"
              aria-label={spoken(d, units, today)}
              aria-pressed={pressed}
              onClick={() => choose(d.day)}
              className={clsx(
                'flex w-full flex-col items-center border-b-4 pt-0.5',
                pressed
                  ? 'border-leaf bg-leafwash'
                  : d.day === today
                    ? 'border-ink'
                    : 'border-transparent hover:bg-leafwash',
                ahead &&
                  'bg-[repeating-linear-gradient(135deg,transparent_0_6px,color-mix(in_srgb,var(--color-line)_45%,transparent)_6px_7px)]',
              )}
            >
              <span className={clsx('text-sm leading-5 tabular-nums', d.day === today ? 'font-bold' : 'text-soft')}>
                <span className="text-xs">{format(parseISO(d.day), 'EEEEE')} </span>
                {Number(d.day.slice(8))}
              </span>
              <svg
                viewBox={`0 0 24 ${HEIGHT + 12}`}
                className="h-12 w-full max-w-8"
                aria-hidden
                preserveAspectRatio="none"
              >
                {w && (
                  <>
                    <rect
                      x="8"
                      width="8"
                      y={y(w.tMaxC)}
                      height={Math.max(2, y(w.tMinC) - y(w.tMaxC))}
                      rx="3"
                      className={clsx('fill-warm', ahead && 'opacity-55')}
                    />
                    {w.rainMm > 0 && (
                      <rect
                        x="5"
                        width="14"
                        y={HEIGHT + 1}
                        height={Math.min(11, 2 + w.rainMm / 2.5)}
                        rx="2"
                        className={clsx('fill-rain', ahead && 'opacity-55')}
                      />
                    )}
                  </>
                )}
              </svg>
              <Marks d={d} />
            </button>
          </li>
        );
      })}
    </ol>
  );
}

/** One small shape for each kind of thing done, so that none rests on colour: drop, square, cross, ring, and a call for what is due. */
function Marks({ d }: { d: RibbonDay }) {
  const shapes = [
    d.done.watering && (
      <path d="M5 0.5C7.5 4 8.5 5.6 8.5 6.8a3.4 3.4 0 0 1-7 0C1.5 5.6 2.5 4 5 0.5z" className="fill-rain" />
    ),
    d.done.feeding && <rect x="2" y="2.5" width="6" height="6" className="fill-moist" />,
    d.done.pruning && <path d="M2 1l6 8M8 1l-6 8" className="stroke-leaf" strokeWidth="1.8" />,
    d.done.inspection && <circle cx="5" cy="5.5" r="3.2" className="fill-none stroke-ink" strokeWidth="1.6" />,
    d.due > 0 && <path d="M5 1v5M5 8v1.4" className="stroke-ripe" strokeWidth="2.2" />,
  ].filter(Boolean);
  return (
    <span aria-hidden className="mb-0.5 flex h-2.5 max-w-full justify-center overflow-hidden">
      {shapes.map((shape, i) => (
        <svg key={i} viewBox="0 0 10 10" className="size-2.5 shrink-0">
          {shape}
        </svg>
      ))}
    </span>
  );
}
