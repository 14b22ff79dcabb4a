import clsx from 'clsx';
import { Droplet } from 'lucide-react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { percent } from '../../../ui/water-left';
import type { PlaceDay } from '../week-of';

interface Props {
  days: readonly PlaceDay[];
  together: boolean;
  chosen: string;
  onChoose: (date: string) => void;
}

/** Seven days side by side: what each group holds at night, with its waterings above. A day opens at a touch. */
export function WeekChart({ days, together, chosen, onChoose }: Props) {
  const format = useFormat();
  const garden = useGarden();
  return (
    <div className="mt-3 max-sm:-mx-3">
      {(days[0]?.pours ?? []).map(({ pour }, row) => (
        <div key={pour.id} className={row > 0 ? 'mt-2' : undefined}>
          {!together && <p className="text-sm font-semibold max-sm:mx-3">{pour.speaker}</p>}
          <div aria-hidden className="grid grid-cols-7 gap-0.5 sm:gap-1">
            {days.map((d) => {
              const x = d.pours[row];
              return (
                <div
                  key={d.date}
                  onClick={() => onChoose(d.date)}
                  className="flex cursor-pointer flex-col items-center"
                >
                  <span className="flex h-6 items-center text-sm font-semibold whitespace-nowrap text-rain tabular-nums">
                    {x && x.day.litres > 0 && (
                      <>
                        <Droplet size={14} className="fill-current max-sm:hidden" /> {format.litres(x.litres)}
                      </>
                    )}
                  </span>
                  <div
                    className={clsx(
                      'flex w-full max-w-16 items-end overflow-hidden rounded border bg-dry',
                      together ? 'h-24' : 'h-12',
                      x && x.day.litres > 0 ? 'border-rain' : 'border-soft/50',
                    )}
                  >
                    <div
                      className="w-full border-t-2 border-rain bg-wet"
                      style={{ height: `${(x?.day.left ?? 0) * 100}%` }}
                    />
                  </div>
                  <span className="text-xs text-soft tabular-nums">{x ? percent(x.day.left) : ''}</span>
                </div>
              );
            })}
          </div>
        </div>
      ))}
      <div className="mt-1 grid grid-cols-7 gap-0.5 sm:gap-1">
        {days.map((d) => {
          const isToday = d.date === garden.today;
          return (
            <button
              key={d.date}
              type="button"
              aria-pressed={d.date === chosen}
              aria-label={nameOf(d, isToday ? 'Today' : format.weekdayAndDay(d.date), format.litres)}
              onClick={() => onChoose(d.date)}
              className={clsx(
                'min-h-11 rounded-lg text-xs leading-4 hover:bg-leafwash sm:text-sm',
                d.date === chosen ? 'bg-leafwash font-semibold text-leaf' : d.allowed ? 'text-ink' : 'text-soft',
              )}
            >
              {isToday ? 'Today' : format.weekdayShort(d.date)}
              {d.rainMm >= 1 && <span className="block text-xs text-rain">{format.rain(d.rainMm)}</span>}
            </button>
          );
        })}
      </div>
    </div>
  );
}

/** "Monday 20 July: 40 L, 93 % left at night". */
function nameOf(d: PlaceDay, day: string, litres: (x: number) => string): string {
  const left = Math.min(...d.pours.map((x) => x.day.left));
  return `${day}: ${d.litres > 0 ? litres(d.litres) : 'no water'}, ${percent(left)} left at night`;
}
