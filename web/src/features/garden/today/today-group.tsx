import type { TaskDto } from '@candid-leaf/contract';
import { Check, Hourglass } from 'lucide-react';
import { v7 as uuid } from 'uuid';
import { doTask, postponeTask, undoTask } from '../../../data/tasks';
import { useFormat, useGarden, useMay } from '../../../lib/garden-context';
import { sentence, whereAndWhy } from '../../../lib/words';
import { Button } from '../../../ui/button';
import { taskIcon } from '../../../ui/task-icons';
import { useSay } from '../../../ui/toast';
import { Unfold } from '../../../ui/unfold';
import { useWrite } from '../../../ui/use-write';
import { Answers } from './answers';
import { type Line, UNANSWERED } from './group-tasks';
import { TaskRow, Tick } from './task-row';
import { Steps, Task } from './today-task';

interface Props {
  group: Extract<Line, { kind: 'group' }>;
  next: boolean;
}

/** Several tasks of one kind in one line; equal ones are ticked together. */
export function Group({ group: { key, title, tasks, together }, next }: Props) {
  const may = useMay();
  const format = useFormat();
  const { tick, putOff, isPending } = useGroupActs(title, tasks);
  const mixed = key === UNANSWERED;
  const asks = !mixed && tasks[0]!.source === 'so-far';
  const litres = !mixed && tasks[0]!.source === 'water' ? tasks.reduce((sum, t) => sum + (t.litres ?? 0), 0) : 0;
  const ticked = may('record') && together;
  return (
    <TaskRow
      icon={mixed ? Hourglass : taskIcon(tasks[0]!.source)}
      title={title}
      amount={litres > 0 ? `${format.litres(litres)} (${format.litres(litres / tasks.length)} each)` : null}
      next={next && !mixed}
      beside={ticked && <Tick label={`Done: ${title}`} onTick={tick} disabled={isPending} />}
    >
      {() =>
        together ? (
          <>
            {/* a reason that is the same for all stands once */}
            <p className="text-sm text-soft">{whereAndWhy(tasks[0]!)}</p>
            <Unfold className="text-sm" look="act" title="Bed by bed">
              {() =>
                tasks.map((t) => (
                  <div key={t.key} className="mt-1">
                    <p className="font-semibold">{t.title}</p>
                    {t.source === 'water' ? <p className="text-soft">{whereAndWhy(t)}</p> : <Steps task={t} open />}
                  </div>
                ))
              }
            </Unfold>
            {ticked && (
              <div className="mt-1.5 flex flex-wrap gap-1">
                {next && (
                  <Button look="main" onClick={tick} disabled={isPending} aria-label={`Done: ${title}`}>
                    <Check aria-hidden size={17} /> Done
                  </Button>
                )}
                <Button look="quiet" onClick={putOff} aria-label={`Not today: ${title}`}>
                  Not today
                </Button>
              </div>
            )}
          </>
        ) : (
          <>
            {asks && <p className="text-sm text-soft">{sentence(tasks[0]!.why)}</p>}
            <ul className="divide-y divide-line">
              {tasks.map((t) =>
                asks ? (
                  <li key={t.key} className="py-2">
                    <p className="font-semibold">{t.where}</p>
                    {may('record') && <Answers task={t} next={false} />}
                  </li>
                ) : (
                  <Task key={t.key} task={t} next={false} />
                ),
              )}
            </ul>
          </>
        )
      }
    </TaskRow>
  );
}

/** One touch for all of them. */
function useGroupActs(title: string, tasks: readonly TaskDto[]) {
  const garden = useGarden();
  const done = useWrite(doTask, garden.id);
  const undo = useWrite(undoTask, garden.id);
  const later = useWrite(postponeTask, garden.id);
  const say = useSay();
  const tick = () => {
    const at = new Date().toISOString();
    const ticks = tasks.map(({ key, estimatedMinutes }) => ({ key, recordId: uuid(), estimatedMinutes, at }));
    for (const t of ticks) done.mutate(t);
    say(`Done: ${title}.`, {
      undo: () => {
        for (const { key, recordId } of ticks) undo.mutate({ key, recordId });
      },
    });
  };
  const putOff = () => {
    for (const { key } of tasks) later.mutate({ key });
    say(`Not today: ${title}.`, {
      undo: () => {
        for (const { key } of tasks) undo.mutate({ key });
      },
    });
  };
  return { tick, putOff, isPending: done.isPending };
}
