import type { SeasonView, YearLine as Line } from '@candid-leaf/contract';
import { DATE_WORDS } from '@candid-leaf/core/planning';
import { addDays, daysBetween, type Day } from '@candid-leaf/core/units';
import clsx from 'clsx';
import { format as inForm, parseISO } from 'date-fns';
import { Explained } from '../../../ui/explained';
import { laneOf } from '../lanes';
import { Unfold } from '../../../ui/unfold';
import { Scroller } from '../../../ui/scroller';

type Band = Line['bands'][number];
const isFrost = (b: Band): boolean => b.what === 'last-frost' || b.what === 'first-frost';

/** The year of each variety on one line with today marked; the table below has the same in words. */
export function YearLine({ view }: { view: SeasonView }) {
  const { season, today, lines } = view;
  const days = daysBetween(season.from, season.to) + 1;
  const at = (day: Day): number => Math.min(100, Math.max(0, (daysBetween(season.from, day) / days) * 100));
  const frosts = lines[0]?.bands.filter(isFrost) ?? [];
  const here = today >= season.from && today <= season.to;
  return (
    <figure className="mt-3">
      <div aria-hidden className="relative overflow-hidden pt-6">
        {monthsOf(season.from, days).map((m) => (
          <div key={m} className="absolute inset-y-0 border-l border-line" style={{ left: `${at(m)}%` }}>
            <span className="pl-1 text-xs text-soft sm:text-sm">
              <span className="sm:hidden">{inForm(parseISO(m), 'MMMMM')}</span>
              <span className="max-sm:hidden">{inForm(parseISO(m), 'MMM')}</span>
            </span>
          </div>
        ))}
        {frosts.map((b) => (
          <div
            key={b.what}
            className="absolute bottom-0 top-6 bg-rain/20"
            style={{ left: `${at(b.from)}%`, width: `${at(addDays(b.to, 1)) - at(b.from)}%` }}
          />
        ))}
        {lines.map((line) => (
          <OneLine key={line.label} line={line} at={at} today={today} />
        ))}
        {here && (
          <div className="absolute bottom-0 top-0 w-0.5 bg-ink" style={{ left: `${at(today)}%` }}>
            <span className="absolute bottom-0 left-1 text-xs font-semibold">today</span>
          </div>
        )}
        <p className="h-5" />
      </div>
      <figcaption className="text-sm text-soft">
        {frosts.length > 0 && 'Blue bands are the frost dates, ten days either side. '} Each bar covers the uncertain
        days; grey bars are past, a dark line is a recorded date.
      </figcaption>
      <Unfold className="mt-1" look="act" title="All dates as a list">
        {() => (
          <Scroller label="All dates as a list">
            <table className="w-full text-left text-sm">
              <thead>
                <tr className="text-soft">
                  <th scope="col" className="pr-4 font-normal">
                    Variety
                  </th>
                  <th scope="col" className="pr-4 font-normal">
                    Step
                  </th>
                  <th scope="col" className="font-normal">
                    When
                  </th>
                </tr>
              </thead>
              <tbody>
                {lines.flatMap((line) =>
                  line.bands.map((b) => (
                    <tr key={`${line.label} ${b.what}`} className="border-t border-line">
                      <td className="pr-4 py-1">{line.label}</td>
                      <th scope="row" className="pr-4 font-semibold">
                        {DATE_WORDS[b.what]}
                      </th>
                      <td className="tabular-nums">
                        <Explained says={b.text}>{b.how}</Explained>
                      </td>
                    </tr>
                  )),
                )}
              </tbody>
            </table>
          </Scroller>
        )}
      </Unfold>
    </figure>
  );
}

function OneLine({ line, at, today }: { line: Line; at: (day: Day) => number; today: Day }) {
  const bands = line.bands.filter((b) => !isFrost(b));
  const lanes = laneOf(bands);
  const count = Math.max(0, ...lanes) + 1;
  return (
    <div className="relative border-t border-line">
      <p className="relative bg-card/80 text-sm font-semibold">{line.label}</p>
      <div className="relative" style={{ height: `${count * 1.55}rem` }}>
        {bands.map((b, i) => (
          <div
            key={b.what}
            className="absolute"
            style={{ left: `${at(b.from)}%`, top: `${lanes[i]! * 1.55}rem`, width: `${100 - at(b.from)}%` }}
          >
            <div
              className={clsx(
                'h-5 rounded border border-soft/40',
                b.done ? 'bg-leaf' : b.to < today ? 'bg-line' : b.what === 'first-fruit' ? 'bg-lit' : 'bg-leafwash',
              )}
              style={{
                width: `max(0.35rem, ${((at(addDays(b.to, 1)) - at(b.from)) / Math.max(0.01, 100 - at(b.from))) * 100}%)`,
              }}
            />
            <span
              className={clsx(
                'absolute top-0 whitespace-nowrap text-xs leading-5 max-sm:hidden',
                b.done ? 'left-2' : 'left-1',
              )}
            >
              {DATE_WORDS[b.what]}
            </span>
          </div>
        ))}
      </div>
    </div>
  );
}

function monthsOf(from: Day, days: number): Day[] {
  return Array.from({ length: days }, (_, i) => addDays(from, i)).filter((d) => d.endsWith('-01'));
}
