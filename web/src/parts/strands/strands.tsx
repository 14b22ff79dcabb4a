import type { PlantView } from '@candid-leaf/contract';
import type { Day } from '@candid-leaf/core/units';
import clsx from 'clsx';
import { format, parseISO } from 'date-fns';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { Area, Bar, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useDayWords, useGarden } from '../../data/garden-context';
import { tellRecord } from '../record-kinds';
import { strandDays, type StrandDay } from './strand-days';
import { ChosenDay, SpokenDays } from './told-days';

const EDGE = 0.5;
const NO_MARGIN = { top: 4, right: 0, bottom: 4, left: 0 };
/** Flowers fail over 32 °C by day; fruit sets badly under 13 °C by night. */
const HOT = 32;
const COLD = 13;

interface Props {
  view: PlantView;
  /** days that speak for the finding that is touched; they light up across all strands */
  lit: ReadonlySet<Day>;
}

/** A plant's records as parallel strands on one time axis: where signs and records meet. */
export function Strands({ view, lit }: Props) {
  const garden = useGarden();
  const days = strandDays(view);
  const n = days.length;
  const [params] = useSearchParams();
  const chosenDay = days.find((d) => d.day === params.get('day'));
  const domain: [number, number] = [-EDGE, n - EDGE];
  const at = (i: number) => `${(i / n) * 100}%`;
  const warm = days.flatMap((d) => d.warmth ?? []);
  const low = Math.floor(Math.min(8, ...warm));
  const high = Math.ceil(Math.max(HOT + 2, ...warm));
  const mostRain = Math.max(10, ...days.map((d) => d.rainMm));
  const mostWater = Math.max(4, ...days.map((d) => d.wateredL));
  return (
    <figure
      aria-label="Strands of the last four weeks and the week ahead"
      className="rounded-2xl border border-line bg-card py-2 pr-2 pl-2 sm:pr-4"
    >
      <div className="relative sm:ml-18">
        <div aria-hidden className="absolute inset-0">
          {days.map((d) => (
            <div
              key={d.day}
              data-lit={lit.has(d.day) || undefined}
              className={clsx(
                'absolute inset-y-0',
                lit.has(d.day) && 'bg-lit',
                d.ahead &&
                  'bg-[repeating-linear-gradient(135deg,transparent_0_6px,color-mix(in_srgb,var(--color-line)_40%,transparent)_6px_7px)]',
              )}
              style={{ left: at(d.i), width: `${100 / n}%` }}
            />
          ))}
          {chosenDay && (
            <div
              className="absolute inset-y-0 border-x-2 border-leaf"
              style={{ left: at(chosenDay.i), width: `${100 / n}%` }}
            />
          )}
          {days.map(
            (d) =>
              d.day === garden.today && (
                <div
                  key={d.day}
                  className="absolute inset-y-0 border-r-2 border-ink"
                  style={{ left: at(d.i), width: `${100 / n}%` }}
                />
              ),
          )}
        </div>
        <Strand
          label="Warmth"
          aside={
            <Scale
              values={[
                [HOT, low, high],
                [COLD, low, high],
              ]}
              show={(c) => showTemperature(c, garden.units)}
            />
          }
          tall="h-22"
        >
          <ResponsiveContainer width="100%" height="100%">
            <ComposedChart data={days} margin={NO_MARGIN} accessibilityLayer={false}>
              <XAxis type="number" dataKey="i" domain={domain} hide allowDataOverflow />
              <YAxis domain={[low, high]} hide />
              <ReferenceLine y={HOT} stroke="var(--color-soft)" strokeDasharray="2 4" />
              <ReferenceLine y={COLD} stroke="var(--color-soft)" strokeDasharray="2 4" />
              <Area
                dataKey={(d: StrandDay) => (d.ahead ? null : d.warmth)}
                stroke="var(--color-warm)"
                fill="var(--color-warm)"
                fillOpacity={0.75}
                isAnimationActive={false}
                type="monotone"
              />
              <Area
                dataKey={(d: StrandDay) => (d.ahead || d.day === garden.today ? d.warmth : null)}
                stroke="var(--color-warm)"
                strokeDasharray="4 3"
                fill="var(--color-warm)"
                fillOpacity={0.3}
                isAnimationActive={false}
                type="monotone"
              />
            </ComposedChart>
          </ResponsiveContainer>
        </Strand>
        <Strand
          label="Water left"
          aside={
            <Scale
              values={[
                [100, 0, 100],
                [50, 0, 100],
              ]}
              show={(p) => `${p} %`}
            />
          }
          tall="h-32"
        >
          <ResponsiveContainer width="100%" height="100%">
            <ComposedChart data={days} margin={NO_MARGIN} accessibilityLayer={false} barGap={-5}>
              <XAxis type="number" dataKey="i" domain={domain} hide allowDataOverflow />
              <YAxis yAxisId="left" domain={[0, 100]} hide />
              <YAxis yAxisId="rain" domain={[0, mostRain * 2.2]} hide />
              <YAxis yAxisId="water" domain={[0, mostWater * 2.2]} hide />
              <ReferenceLine yAxisId="left" y={50} stroke="var(--color-soft)" strokeDasharray="2 4" />
              <Area
                yAxisId="left"
                dataKey="left"
                stroke="var(--color-moist)"
                strokeWidth={2.5}
                fill="var(--color-moist)"
                fillOpacity={0.35}
                isAnimationActive={false}
                type="linear"
              />
              <Line
                yAxisId="left"
                dataKey="leftAhead"
                stroke="var(--color-moist)"
                strokeWidth={2.5}
                strokeDasharray="5 4"
                dot={false}
                isAnimationActive={false}
                type="linear"
              />
              {days.map(
                (d) =>
                  d.moved && (
                    <ReferenceLine
                      key={d.day}
                      yAxisId="left"
                      segment={[
                        { x: d.i, y: d.moved.from },
                        { x: d.i, y: d.moved.to },
                      ]}
                      stroke="var(--color-leaf)"
                      strokeWidth={4}
                      ifOverflow="visible"
                    />
                  ),
              )}
              <Bar
                yAxisId="rain"
                dataKey="rainMm"
                fill="var(--color-rain)"
                fillOpacity={0.45}
                barSize={9}
                isAnimationActive={false}
              />
              <Bar yAxisId="water" dataKey="wateredL" fill="var(--color-rain)" barSize={5} isAnimationActive={false} />
            </ComposedChart>
          </ResponsiveContainer>
        </Strand>
        <Marks
          label="Feed"
          days={days}
          mark={(d) => (d.fed ? <Feed grams={d.nitrogenG} /> : null)}
          tell={(d) => (d.fed ? `${showGrams(d.nitrogenG, garden.units)} of nitrogen` : null)}
        />
        <Marks
          label="Work"
          days={days}
          mark={(d) => (d.cuts.length > 0 ? <span className="text-leaf">▾</span> : null)}
          tell={(d) => d.cuts.map((r) => tellRecord(r, garden.units)).join('; ') || null}
        />
        <Marks
          label="Seen"
          days={days}
          mark={(d) =>
            d.looks.length > 0 ? (
              <Seen trouble={d.looks.some((r) => !(r.data as { allClear: boolean }).allClear)} />
            ) : d.soil ? (
              <span className="text-xs font-semibold text-moist">{d.soil[0]?.toUpperCase()}</span>
            ) : null
          }
          tell={(d) =>
            [...d.looks.map((r) => tellRecord(r, garden.units)), d.soil ? `soil felt ${d.soil}` : '']
              .filter(Boolean)
              .join('; ') || null
          }
        />
        <div aria-hidden className="relative mt-1 h-5 text-xs text-soft tabular-nums">
          {days.map(
            (d) =>
              (d.i % 7 === 6 || d.day === garden.today) && (
                <span
                  key={d.day}
                  className={clsx(
                    'absolute -translate-x-1/2 whitespace-nowrap',
                    d.day === garden.today && 'font-bold text-ink',
                  )}
                  style={{ left: `${((d.i + 0.5) / n) * 100}%` }}
                >
                  {d.day === garden.today ? 'today' : format(parseISO(d.day), 'd MMM')}
                </span>
              ),
          )}
        </div>
      </div>
      <figcaption className="mt-1 text-sm text-soft sm:ml-18">
        <Key
          water={showLitres(Math.max(0, ...days.map((d) => d.wateredL)), garden.units)}
          rain={showRain(Math.max(0, ...days.map((d) => d.rainMm)), garden.units)}
        />
      </figcaption>
      {chosenDay && <ChosenDay d={chosenDay} />}
      <SpokenDays days={days} />
    </figure>
  );
}

function Strand({
  label,
  aside,
  tall,
  children,
}: {
  label: string;
  aside?: ReactNode;
  tall: string;
  children: ReactNode;
}) {
  return (
    <div className={clsx('relative border-b border-line', tall)}>
      <span className="absolute top-0.5 left-1 z-10 rounded bg-card/85 px-1 text-sm leading-5 text-soft sm:-left-18 sm:w-17 sm:bg-transparent sm:text-right">
        {label}
      </span>
      {aside}
      {children}
    </div>
  );
}

/** A few numbers on the strand's own scale, at its right edge. */
function Scale({
  values,
  show,
}: {
  values: [value: number, low: number, high: number][];
  show: (v: number) => string;
}) {
  return (
    <>
      {values.map(([v, low, high]) => (
        <span
          key={v}
          aria-hidden
          className="absolute right-0 z-10 -translate-y-1/2 rounded bg-card/85 px-0.5 text-xs leading-4 text-soft tabular-nums"
          style={{ top: `${Math.max(7, 100 - ((v - low) / (high - low)) * 100)}%` }}
        >
          {show(v)}
        </span>
      ))}
    </>
  );
}

function Marks({
  label,
  days,
  mark,
  tell,
}: {
  label: string;
  days: readonly StrandDay[];
  mark: (d: StrandDay) => ReactNode;
  tell: (d: StrandDay) => string | null;
}) {
  const dayWords = useDayWords();
  return (
    <Strand label={label} tall="h-9">
      <div
        className="grid h-full items-center"
        style={{ gridTemplateColumns: `repeat(${days.length}, minmax(0, 1fr))` }}
      >
        {days.map((d) => {
          const text = tell(d);
          return (
            <span
              key={d.day}
              className="grid place-items-center overflow-visible leading-none"
              title={text ? `${dayWords(d.day)}: ${text}` : undefined}
            >
              {mark(d)}
            </span>
          );
        })}
      </div>
    </Strand>
  );
}

/** Size tells how much nitrogen was in it. */
function Feed({ grams }: { grams: number }) {
  const r = 3 + Math.min(8, Math.sqrt(grams) * 3);
  return (
    <svg width="24" height="24" viewBox="-12 -12 24 24" className="shrink-0 overflow-visible" aria-hidden>
      <rect x={-r} y={-r} width={2 * r} height={2 * r} rx="1.5" className="fill-moist" />
    </svg>
  );
}

const Seen = ({ trouble }: { trouble: boolean }) => (
  <svg width="14" height="14" viewBox="-7 -7 14 14" aria-hidden>
    <circle r="5" className={trouble ? 'fill-ripe' : 'fill-none stroke-ink'} strokeWidth="1.8" />
  </svg>
);

/** What the shapes mean; the bars' own scale is told by their tallest. */
function Key({ water, rain }: { water: string; rain: string }) {
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
        <i aria-hidden className="inline-block h-4 w-1 bg-leaf" /> moved by a check
      </span>
      <span className="inline-flex items-center gap-1.5">
        <i aria-hidden className="inline-block h-3 w-4 bg-lit" /> speaks for the finding
      </span>
    </span>
  );
}
