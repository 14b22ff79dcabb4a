import type { RibbonDay } from '@candid-leaf/contract';
import { RECORD_TYPES, TRACKS, type RecordType } from '@candid-leaf/core/records';
import type { Day, Formatter } from '@candid-leaf/core/units';
import clsx from 'clsx';
import { format as inForm, parseISO } from 'date-fns';
import { lazy, Suspense } from 'react';
import { useSearchParams } from 'react-router';
import { useFormat } from '../lib/garden-context';
import { useMedia } from '../ui/use-media';
import { DueMark, TrackMark } from '../ui/track-mark';

// explained when asked for; the days come first
const RibbonLegend = lazy(async () => ({ default: (await import('./ribbon-legend')).RibbonLegend }));

const HEIGHT = 34;
/** Days either side of today if only a week fits. */
const NEAR = 3;

/** Returns one temperature scale for all shown days, °C. */
function scaleOf(days: readonly RibbonDay[]): { low: number; high: number; y: (celsius: number) => number } {
  const lows = days.flatMap((d) => (d.weather ? [d.weather.tMinC] : []));
  const highs = days.flatMap((d) => (d.weather ? [d.weather.tMaxC] : []));
  const low = Math.min(...lows, 8);
  const high = Math.max(...highs, 32);
  return { low, high, y: (c) => HEIGHT - ((c - low) / (high - low)) * HEIGHT };
}

const typesDone = (d: RibbonDay): RecordType[] => Object.keys(d.done) as RecordType[];

function spoken(d: RibbonDay, f: Formatter, today: Day): string {
  const w = d.weather;
  const rain = w && w.rainMm > 0 ? `${f.rain(w.rainMm)} of rain` : '';
  return [
    f.weekdayAndDay(d.day),
    d.day === today && 'today',
    w ? f.temperatures(w.tMinC, w.tMaxC) : 'no weather recorded',
    rain && (w?.kind === 'forecast' ? `${w.rainChancePct ?? 0} % chance of ${rain}` : rain),
    ...typesDone(d).map((k) => RECORD_TYPES[k].done),
    d.due > 0 && `${d.due} due`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** Mondays and today carry the name of their weekday: enough to count from. */
const isNamed = (day: Day, today: Day): boolean => day === today || parseISO(day).getDay() === 1;

/** Two weeks back, today, a week ahead. Touching a day selects it; touching it again returns to today. */
export function Ribbon({ days, today }: { days: RibbonDay[]; today: Day }) {
  const [params, setParams] = useSearchParams();
  const format = useFormat();
  const chosen = params.get('day');
  const { low, high, y } = scaleOf(days);
  const roomy = useMedia('(min-width: 40rem)');
  const here = days.findIndex((d) => d.day === today);
  const shown = roomy ? days : days.filter((_, i) => Math.abs(i - here) <= NEAR);
  const choose = (day: Day) =>
    setParams(
      (old) => {
        if (day === chosen || day === today) old.delete('day');
        else old.set('day', day);
        return old;
      },
      { replace: true, preventScrollReset: true },
    );
  return (
    <div className="flex">
      <ol aria-label="Days" className="flex min-w-0 flex-1">
        {shown.map((d, i) => {
          const ahead = d.day > today;
          const pressed = chosen === d.day;
          return (
            <li key={d.day} className="relative min-w-0 flex-1">
              <button
                type="button"
                aria-label={spoken(d, format, today)}
                aria-pressed={pressed}
                onClick={() => choose(d.day)}
                className={clsx(
                  'peer flex w-full flex-col items-center border-b-4 pt-0.5 select-none [-webkit-touch-callout:none]',
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
                  {isNamed(d.day, today) && <span className="text-xs">{inForm(parseISO(d.day), 'EEE')} </span>}
                  {Number(d.day.slice(8))}
                </span>
                <DayWeather d={d} y={y} />
                <Marks d={d} />
              </button>
              {/* the same words as a tooltip */}
              <span
                aria-hidden
                className={clsx(
                  'pointer-events-none z-30 hidden rounded-lg border border-line bg-card px-2.5 py-1 text-sm shadow-lg peer-focus-visible:block after:content-[attr(data-says)]',
                  // on a phone, full width under the ribbon
                  'max-sm:fixed max-sm:inset-x-3 max-sm:top-34 max-sm:peer-active:block',
                  'sm:absolute sm:top-full sm:whitespace-nowrap sm:peer-hover:block',
                  i < shown.length / 2 ? 'sm:left-0' : 'sm:right-0',
                )}
                data-says={spoken(d, format, today)}
              />
            </li>
          );
        })}
      </ol>
      <Suspense fallback={<span className="w-11 shrink-0" />}>
        <RibbonLegend lowC={low} highC={high} />
      </Suspense>
    </div>
  );
}

/** Night to day temperature, with rain below. */
function DayWeather({ d, y }: { d: RibbonDay; y: (celsius: number) => number }) {
  const w = d.weather;
  return (
    <svg viewBox={`0 0 24 ${HEIGHT + 12}`} className="h-12 w-full max-w-8" aria-hidden preserveAspectRatio="none">
      {w && (
        <>
          <rect
            x="8"
            width="8"
            y={y(w.tMaxC)}
            height={Math.max(2, y(w.tMinC) - y(w.tMaxC))}
            rx="3"
            className="fill-warm"
          />
          {w.rainMm > 0 && (
            <rect
              x="5"
              width="14"
              y={HEIGHT + 1}
              height={Math.min(11, 2 + w.rainMm / 2.5)}
              rx="2"
              className="fill-rain"
            />
          )}
        </>
      )}
    </svg>
  );
}

/** What was done that day, one shape per track, and a mark for due tasks. */
function Marks({ d }: { d: RibbonDay }) {
  const done = new Set(typesDone(d).map((k) => RECORD_TYPES[k].track));
  return (
    <span aria-hidden className="mb-0.5 flex h-2.5 max-w-full justify-center overflow-hidden">
      {TRACKS.filter((t) => done.has(t)).map((t) => (
        <TrackMark key={t} track={t} />
      ))}
      {d.due > 0 && <DueMark />}
    </span>
  );
}
