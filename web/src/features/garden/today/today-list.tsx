import type { GardenView, TaskDto, WeekLine } from '@candid-leaf/contract';
import { fillTime } from '@candid-leaf/core/budget';
import { lazy, Suspense, useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { Unfold } from '../../../ui/unfold';
import { useWide } from '../../../ui/use-wide';
import { Budget } from './budget';
import { groupTasks, type Line } from './group-tasks';
import { Task } from './today-task';

// fetched when there is one, so the page comes sooner
const Later = lazy(async () => ({ default: (await import('./later')).Later }));
const Group = lazy(async () => ({ default: (await import('./today-group')).Group }));

/** Maximum lines shown before folding, on a phone and on a desk. */
const MOST_OPEN = { phone: 3, desk: 6 };

interface Props {
  tasks: readonly TaskDto[];
  /** what comes in the days after */
  week: readonly WeekLine[];
  barrel: GardenView['barrel'];
  /** its place in the walking order; null: none */
  orderOf: (task: TaskDto) => number | null;
}

/** Today: short, each task with amount and reason, done or postponed with one touch. Tasks on hold show until when. */
export function TodayList({ tasks, week, barrel, orderOf }: Props) {
  const format = useFormat();
  const { today } = useGarden();
  const [budget, setBudget] = useState<number | null>(null);
  const all = tasks.filter((t) => !t.held);
  const ordered = all.map((t) => ({ ...t, order: orderOf(t) }));
  const due = budget === null ? all : fillTime(ordered, budget, today);
  const held = tasks.filter((t) => t.held);
  const litres = due.reduce((sum, t) => sum + (t.litres ?? 0), 0);
  const minutes = due.reduce((sum, t) => sum + t.minutes, 0);
  // with a time limit, everything that fits is shown
  const wide = useWide();
  const most = wide ? MOST_OPEN.desk : MOST_OPEN.phone;
  const lines = groupTasks(due);
  const rest = budget === null ? lines.slice(most) : [];
  const left = all.length - due.length;
  return (
    <Panel label="Today" className="px-4 pt-2 pb-3">
      <div className="flex items-center justify-between gap-3">
        <h2 className="text-xl">Today</h2>
        {all.length > 0 && <Budget minutes={budget} onChange={setBudget} />}
      </div>
      {due.length === 0 && all.length > 0 ? (
        <p className="mt-2 text-soft">Nothing fits into that time.</p>
      ) : due.length === 0 ? (
        <p className="mt-2 text-soft">Nothing is due.</p>
      ) : (
        <>
          <p className="text-sm text-soft">
            {lines.length} {lines.length === 1 ? 'thing' : 'things'}, {minutes} minutes
            {litres > 0 ? `, ${format.litres(litres)} of water` : ''}
            {litres > 0 && barrel ? ` (about ${format.litres(barrel.litres)} in the barrel)` : ''}
          </p>
          <ul className="mt-1 divide-y divide-line">
            {(budget === null ? lines.slice(0, most) : lines).map((l, i) => (
              <TodayLine key={l.key} line={l} next={i === 0} />
            ))}
          </ul>
        </>
      )}
      {budget !== null && left > 0 && (
        <p className="border-t border-line py-2 text-sm text-soft">
          {left} more would take longer. These are the most useful, in walking order.
        </p>
      )}
      {rest.length > 0 && (
        <Unfold className="border-t border-line" look="act" title={`If you have time: ${rest.length} more`}>
          {() => (
            <ul className="divide-y divide-line">
              {rest.map((l) => (
                <TodayLine key={l.key} line={l} next={false} />
              ))}
            </ul>
          )}
        </Unfold>
      )}
      {(held.length > 0 || week.length > 0) && (
        <Suspense>
          <Later held={held} week={week} />
        </Suspense>
      )}
    </Panel>
  );
}

function TodayLine({ line, next }: { line: Line; next: boolean }) {
  return line.kind === 'one' ? (
    <Task task={line.task} next={next} />
  ) : (
    <Suspense>
      <Group group={line} next={next} />
    </Suspense>
  );
}
