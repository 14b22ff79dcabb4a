import type { TaskDto, WeekLine } from '@candid-leaf/contract';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { sentence } from '../../../lib/words';
import { Unfold } from '../../../ui/unfold';
import { useWide } from '../../../ui/use-wide';

/** Most tasks on hold listed at the desk; a phone shows their number, unless fruit must not be picked yet. */
const MOST_WAITING = 3;

interface Props {
  held: readonly TaskDto[];
  week: readonly WeekLine[];
}

/** Below Today: what must wait, what this week brings, and what to watch. */
export function Later({ held, week }: Props) {
  return (
    <>
      {held.length > 0 && <NotNow held={held} />}
      {week.length > 0 && <ThisWeek week={week} />}
    </>
  );
}

function NotNow({ held }: Pick<Props, 'held'>) {
  const format = useFormat();
  const { today } = useGarden();
  const wide = useWide();
  return (
    <Unfold
      open={(wide && held.length <= MOST_WAITING) || held.some((t) => t.picks)}
      className="mt-1 border-t border-line text-sm text-soft"
      look="act"
      title={`Not now: ${held.length}`}
    >
      {() => (
        <ul aria-label="Not now">
          {held.map((t) => (
            <li key={t.key}>
              <Unfold
                look="task"
                title={
                  <span>
                    {t.title}
                    {t.held!.until > today && `: wait until ${format.day(t.held!.until)}`}
                  </span>
                }
              >
                {() => <p className="pb-2">{sentence(t.held!.because)}</p>}
              </Unfold>
            </li>
          ))}
        </ul>
      )}
    </Unfold>
  );
}

function ThisWeek({ week }: Pick<Props, 'week'>) {
  const work = week.filter((l) => !l.watch);
  const watch = week.filter((l) => l.watch);
  return (
    <Unfold className="mt-1 border-t border-line" look="act" title={`This week: ${week.length} more`}>
      {() => (
        <>
          {work.length > 0 && <Lines label="To do this week" lines={work} />}
          {watch.length > 0 && (
            <>
              <h3 className="mt-2 font-semibold">Watch</h3>
              <Lines label="Watch this week" lines={watch} />
            </>
          )}
        </>
      )}
    </Unfold>
  );
}

function Lines({ label, lines }: { label: string; lines: readonly WeekLine[] }) {
  const format = useFormat();
  const link = useLink();
  const to = ({ plantId, placeId }: WeekLine): string | null =>
    plantId ? link('plant', { plantId }) : placeId ? link('place', { placeId }) : null;
  return (
    <ul aria-label={label}>
      {lines.map((line, i) => {
        const page = to(line);
        const words = <span className="min-w-0">{line.title}</span>;
        const className = 'flex min-h-11 items-center gap-3 py-1';
        const day = (
          <span className="w-16 shrink-0 text-sm text-soft tabular-nums">
            {line.on === lines[i - 1]?.on ? '' : format.weekdayShort(line.on)}
          </span>
        );
        return (
          <li key={line.key}>
            {page ? (
              <Link to={page} className={`${className} hover:underline`}>
                {day}
                {words}
              </Link>
            ) : (
              <p className={className}>
                {day}
                {words}
              </p>
            )}
          </li>
        );
      })}
    </ul>
  );
}
