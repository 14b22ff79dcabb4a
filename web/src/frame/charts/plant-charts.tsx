import type { PlantView } from '@candid-leaf/contract';
import type { Day } from '@candid-leaf/core/units';
import clsx from 'clsx';
import { useSearchParams } from 'react-router';
import { useFormat, useGarden } from '../../lib/garden-context';
import { Panel } from '../../ui/panel';
import { useTurns } from '../../ui/use-turns';
import { ChosenDay, SpokenDays } from './described-days';
import { Key } from './key';
import { FeedChart, SeenChart, WorkChart } from './mark-charts';
import { PhotoChart } from './photo-chart';
import { chartDays, type ChartDay } from './chart-days';
import { TemperatureChart } from './temperature-chart';
import { WaterChart } from './water-chart';

interface Props {
  view: PlantView;
  /** days that support the touched finding; highlighted across all rows */
  lit: ReadonlySet<Day>;
  /** percent of water it would have had, had something been done differently; empty for none */
  other?: ReadonlyMap<Day, number>;
  /** with a row of photos, if any */
  photos?: boolean;
}

const LANES = ['feed', 'work', 'seen'] as const;
const LANE_WORDS = { feed: 'feed', work: 'work', seen: 'look' } as const;

/** A plant's records as parallel charts on one time axis. */
export function PlantCharts({ view, lit, other, photos = false }: Props) {
  const days = chartDays(view);
  const turn = useTurns(2);
  const [params] = useSearchParams();
  const chosen = days.find((d) => d.day === params.get('day'));
  // a row without marks is one line below
  const empty = LANES.filter((lane) => days.every((d) => d.on[lane].length === 0)).map((lane) => LANE_WORDS[lane]);
  return (
    <Panel as="figure" label="The last four weeks and the week ahead" className="py-2 pr-2 pl-2 sm:pr-4">
      <div className="relative sm:ml-18">
        <DaysBehind days={days} lit={lit} chosen={chosen} past={view.ended !== null} />
        <TemperatureChart days={days} crop={view.plant.crop} />
        <WaterChart days={days} {...(other ? { other } : {})} />
        <FeedChart days={days} />
        <WorkChart days={days} />
        <SeenChart days={days} />
        {photos && <PhotoChart days={days} plantId={view.plant.id} />}
        <TimeAxis days={days} />
      </div>
      <figcaption className="mt-1 text-sm text-soft sm:ml-18">
        <Key days={days} supported={lit.size > 0} other={(other?.size ?? 0) > 0} />
        {empty.length > 0 && <p>No {empty.join(' or ')} recorded.</p>}
      </figcaption>
      {chosen && <ChosenDay d={chosen} />}
      {turn > 1 && <SpokenDays days={days} />}
    </Panel>
  );
}

/** Behind all rows: supporting days, future days, the selected day, and today. */
function DaysBehind({
  days,
  lit,
  chosen,
  past,
}: {
  days: readonly ChartDay[];
  lit: ReadonlySet<Day>;
  chosen: ChartDay | undefined;
  past: boolean;
}) {
  const { today } = useGarden();
  const n = days.length;
  const at = (d: ChartDay) => ({ left: `${(d.i / n) * 100}%`, width: `${100 / n}%` });
  const now = days.find((d) => d.day === today);
  const ahead = days.find((d) => d.ahead);
  return (
    <div aria-hidden className="absolute inset-0">
      {ahead && (
        <div
          className="absolute inset-y-0 right-0 bg-[repeating-linear-gradient(135deg,transparent_0_6px,color-mix(in_srgb,var(--color-line)_40%,transparent)_6px_7px)]"
          style={{ left: at(ahead).left }}
        />
      )}
      {days
        .filter((d) => lit.has(d.day))
        .map((d) => (
          <div key={d.day} data-lit className="absolute inset-y-0 bg-lit" style={at(d)} />
        ))}
      {chosen && <div className="absolute inset-y-0 border-x-2 border-leaf" style={at(chosen)} />}
      {now && (
        <div className="absolute inset-y-0 border-r-2 border-ink" style={at(now)}>
          {!past && (
            <span className="absolute -top-2 right-0 translate-x-1/2 bg-card px-1 text-xs leading-4 font-bold">
              today
            </span>
          )}
        </div>
      )}
    </div>
  );
}

function TimeAxis({ days }: { days: readonly ChartDay[] }) {
  const { today } = useGarden();
  const format = useFormat();
  return (
    <div aria-hidden className="relative mt-1 h-5 text-xs text-soft tabular-nums">
      {days
        .filter((d) => d.i % 7 === 6 && d.day !== today)
        .map((d) => (
          <span
            key={d.day}
            className={clsx(
              'absolute whitespace-nowrap',
              d.i === days.length - 1 ? '-translate-x-full' : '-translate-x-1/2',
            )}
            style={{ left: `${((d.i + (d.i === days.length - 1 ? 1 : 0.5)) / days.length) * 100}%` }}
          >
            {format.dayShort(d.day)}
          </span>
        ))}
    </div>
  );
}
