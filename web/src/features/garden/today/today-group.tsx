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
import { Steps, Task } from './today-task';

/** Several tasks of one kind in one line; equal ones are ticked together. */
export function Group({ group: { key, title, tasks, together } }: { group: Extract<Line, { kind: 'group' }> }) {
  const may = useMay();
  const format = useFormat();
  const mixed = key === UNANSWERED;
  const Icon = mixed ? Hourglass : taskIcon(tasks[0]!.source);
  const asks = !mixed && tasks[0]!.source === 'so-far';
  const litres = !mixed && tasks[0]!.source === 'water' ? tasks.reduce((sum, t) => sum + (t.litres ?? 0), 0) : 0;
  return (
    <li className="py-2.5">
      <div className="flex gap-3">
        <Icon aria-hidden size={20} className="mt-0.5 shrink-0 text-leaf" />
        <div className="min-w-0 flex-1">
          <p className="font-semibold">
            {title}
            {litres > 0 && (
              <span className="font-normal tabular-nums">
                : {format.litres(litres)} ({format.litres(litres / tasks.length)} each)
              </span>
            )}
          </p>
          {/* a reason that is the same for all stands once */}
          {together ? (
            <p className="text-sm text-soft">{whereAndWhy(tasks[0]!)}</p>
          ) : (
            asks && <p className="text-sm text-soft">{sentence(tasks[0]!.why)}</p>
          )}
          <Unfold className="text-sm" look="act" title={together ? 'Bed by bed' : 'One by one'}>
            {() =>
              together ? (
                tasks.map((t) => (
                  <div key={t.key} className="mt-1">
                    <p className="font-semibold">{t.title}</p>
                    {t.source === 'water' ? <p className="text-soft">{whereAndWhy(t)}</p> : <Steps task={t} open />}
                  </div>
                ))
              ) : (
                <ul className="divide-y divide-line text-base">
                  {tasks.map((t) =>
                    asks ? (
                      <li key={t.key} className="py-2">
                        <p className="font-semibold">{t.where}</p>
                        {may('record') && <Answers task={t} />}
                      </li>
                    ) : (
                      <Task key={t.key} task={t} short={false} />
                    ),
                  )}
                </ul>
              )
            }
          </Unfold>
          {may('record') && together && <GroupAnswers title={title} tasks={tasks} />}
        </div>
      </div>
    </li>
  );
}

/** One touch for all of them. */
function GroupAnswers({ title, tasks }: { title: string; tasks: readonly TaskDto[] }) {
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
  return (
    <div className="mt-1.5 -ml-2 flex flex-wrap gap-1">
      <Button className="ml-2" onClick={tick} disabled={done.isPending} aria-label={`Done: ${title}`}>
        <Check aria-hidden size={17} /> Done
      </Button>
      <Button look="quiet" onClick={putOff} aria-label={`Not today: ${title}`}>
        Not today
      </Button>
    </div>
  );
}
