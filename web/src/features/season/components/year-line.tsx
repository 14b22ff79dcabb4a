import type { SeasonView, YearLine as Line } from '@candid-leaf/contract';
import { DATE_WORDS } from '@candid-leaf/core/planning';
import { addDays, daysBetween, type Day } from '@candid-leaf/core/units';
import clsx from 'clsx';
import { format as inForm, parseISO } from 'date-fns';
import { Fragment, type ReactNode } from 'react';
import { Explained } from '../../../ui/explained';
import { dayOf, labelSides, type Mark, markOf } from '../lanes';
import { Unfold } from '../../../ui/unfold';

type Band = Line['bands'][number];
const isFrost = (b: Band): boolean => b.what === 'last-frost' || b.what === 'first-frost';

/** The year of each planting on one line, with today marked. */
export function YearLine({ view }: { view: SeasonView }) {
  const { season, today, lines } = view;
  const days = daysBetween(season.from, season.to) + 1;
  const at = (day: Day): number => Math.min(100, Math.max(0, (daysBetween(season.from, day) / days) * 100));
  const frosts = lines[0]?.bands.filter(isFrost) ?? [];
  const here = today >= season.from && today <= season.to;
  return (
    <figure className="mt-3">
      <Key />
      <div className="relative mt-2 overflow-hidden pt-6">
        {monthsOf(season.from, days).map((m) => (
          <div key={m} aria-hidden className="absolute inset-y-0 border-l border-line" style={{ left: `${at(m)}%` }}>
            <span className="pl-1 text-xs text-soft sm:text-sm">
              <span className="sm:hidden">{inForm(parseISO(m), 'MMMMM')}</span>
              <span className="max-sm:hidden">{inForm(parseISO(m), 'MMM')}</span>
            </span>
          </div>
        ))}
        {frosts.map((b) => (
          <div
            key={b.what}
            aria-hidden
            className="absolute bottom-0 top-6 bg-rain/20"
            style={{ left: `${at(b.from)}%`, width: `${at(addDays(b.to, 1)) - at(b.from)}%` }}
          />
        ))}
        {lines.map((line) => (
          <OneLine key={line.label} line={line} at={at} view={view} />
        ))}
        {here && (
          <div
            aria-hidden
            className="pointer-events-none absolute top-0 bottom-0 w-0.5 bg-ink"
            style={{ left: `${at(today)}%` }}
          >
            <span className="absolute top-0 left-1 bg-card px-0.5 text-xs font-semibold">today</span>
          </div>
        )}
      </div>
      <figcaption className="text-sm text-soft">
        {frosts.length > 0 && 'Blue: frost dates, ten days either side. '}A filled mark is recorded; the line under it
        covers the uncertain days.
      </figcaption>
    </figure>
  );
}

interface LineProps {
  line: Line;
  at: (day: Day) => number;
  view: SeasonView;
}

/** One planting: its marks on one lane; a touch opens their dates. */
function OneLine({ line, at, view: { season, today } }: LineProps) {
  const bands = line.bands.filter((b) => markOf(b) !== null);
  const here = today >= season.from && today <= season.to ? today : null;
  const sides = labelSides(bands, season.from, season.to, here);
  return (
    <Unfold
      className="relative border-t border-line"
      look="lane"
      title={
        <>
          <span className="pr-8 text-sm font-semibold">{line.label}</span>
          <span aria-hidden className="relative block h-7 w-full">
            {bands.map((b, i) => (
              <Marked key={b.what} band={b} side={sides[i]!} at={at} today={today} />
            ))}
          </span>
        </>
      }
    >
      {() => (
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 pb-3 text-sm">
          {line.bands.map((b) => (
            <Fragment key={b.what}>
              <dt className="font-semibold">{DATE_WORDS[b.what]}</dt>
              <dd className="tabular-nums">
                <Explained says={b.text}>{b.how}</Explained>
              </dd>
            </Fragment>
          ))}
        </dl>
      )}
    </Unfold>
  );
}

interface MarkedProps {
  band: Band;
  side: 'right' | 'left' | null;
  at: (day: Day) => number;
  today: Day;
}

/** A mark over its uncertain days; filled once it is recorded, pale if its days have passed. */
function Marked({ band: b, side, at, today }: MarkedProps) {
  const [from, to, here] = [at(b.from), at(addDays(b.to, 1)), at(dayOf(b))];
  const over = !b.done && b.to < today;
  return (
    <>
      <span
        className="absolute top-3 h-1 rounded-full bg-soft/70"
        style={{ left: `${from}%`, width: `${Math.max(0.4, to - from)}%` }}
      />
      <svg
        viewBox="0 0 16 16"
        className={clsx(
          'absolute top-1.5 size-4 -translate-x-1/2 stroke-2',
          over ? 'stroke-soft' : markOf(b) === 'fruit' ? 'stroke-ripe' : 'stroke-leaf',
          b.done ? (markOf(b) === 'fruit' ? 'fill-ripe' : 'fill-leaf') : 'fill-card',
        )}
        style={{ left: `${here}%` }}
      >
        {SHAPES[markOf(b)!]}
      </svg>
      {side && (
        <span
          className="absolute top-1 text-xs leading-5 whitespace-nowrap text-ink max-sm:hidden"
          style={side === 'right' ? { left: `calc(${to}% + 0.75rem)` } : { right: `calc(${100 - from}% + 0.75rem)` }}
        >
          {DATE_WORDS[b.what]}
        </span>
      )}
    </>
  );
}

/** One shape per mark. */
const SHAPES: Record<Mark, ReactNode> = {
  raise: <path d="M8 13V7M8 8Q3 8 3 3Q8 3 8 8Q8 3 13 3Q13 8 8 8" />,
  out: <path d="M2 13H14L8 3Z" />,
  mulch: <path d="M2 6H14V11H2Z" />,
  fruit: <circle cx="8" cy="8" r="5" />,
  last: <path d="M4 3V13M4 3H12V8H4" />,
};
const MARK_WORDS: Record<Mark, string> = {
  raise: 'raise',
  out: 'plant out',
  mulch: 'mulch',
  fruit: 'first ripe fruit',
  last: 'last feed, topping',
};

/** What the marks mean, on one line. */
const Key = () => (
  <ul className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-sm text-soft">
    {(Object.keys(SHAPES) as Mark[]).map((mark) => (
      <li key={mark} className="flex items-center gap-1.5">
        <svg
          viewBox="0 0 16 16"
          aria-hidden
          className={clsx('size-4 fill-card stroke-2', mark === 'fruit' ? 'stroke-ripe' : 'stroke-leaf')}
        >
          {SHAPES[mark]}
        </svg>
        {MARK_WORDS[mark]}
      </li>
    ))}
  </ul>
);

function monthsOf(from: Day, days: number): Day[] {
  return Array.from({ length: days }, (_, i) => addDays(from, i)).filter((d) => d.endsWith('-01'));
}
