import type { TaskDto } from '@candid-leaf/contract';
import { doseInWords } from '@candid-leaf/core/diagnosis';
import { lazy, Suspense } from 'react';
import { useFormat, useGarden, useMay } from '../../../lib/garden-context';
import { whereAndWhy } from '../../../lib/words';
import { taskIcon } from '../../../ui/task-icons';
import { Unfold } from '../../../ui/unfold';
import { Answers, Below, Beside, isShortChoice } from './answers';
import { TaskRow } from './task-row';

// the amount stands there at once; how it was computed comes when its script is there
const LitresOpened = lazy(async () => ({ default: (await import('../../../ui/litres-opened')).LitresOpened }));

const HangCloth = lazy(async () => ({ default: (await import('./hang-cloth')).HangCloth }));

/** One task: a line with its amount and one touch; opened, its reason, steps and answers. */
export function Task({ task, next }: { task: TaskDto; next: boolean }) {
  const garden = useGarden();
  const may = useMay();
  const format = useFormat();
  const amount = task.amount ?? doseInWords(task.dose, format);
  return (
    <TaskRow
      icon={taskIcon(task.source)}
      late={task.dueOn < garden.today}
      title={task.title}
      amount={amount}
      next={next}
      beside={may('record') && <Beside task={task} />}
      below={may('record') && isShortChoice(task) && <Below task={task} />}
    >
      {() => (
        <>
          <p className="text-sm text-soft">
            {whereAndWhy(task)}{' '}
            {task.made?.of && (
              <Suspense>
                <LitresOpened says="How the amount is made" of={task.made.of} plants={task.made.plants} />
              </Suspense>
            )}
          </p>
          <Steps task={task} open={false} />
          {may('record') && <Answers task={task} next={next} />}
        </>
      )}
    </TaskRow>
  );
}

/** Steps and precautions of a task behind one touch, so the list stays short. */
export function Steps({ task, open }: { task: TaskDto; open: boolean }) {
  const format = useFormat();
  const { today } = useGarden();
  const { parts, acts, hang, sequence, cautions } = task;
  const sections = [
    acts && `What to do: ${acts.length} ${acts.length === 1 ? 'thing' : 'things'}`,
    parts && 'Plant by plant',
    sequence && 'How, step by step',
    cautions.length > 0 && (acts || parts || sequence ? 'precautions' : 'Precautions'),
  ].filter(Boolean);
  if (sections.length === 0) return null;
  return (
    <Unfold className="text-sm" open={open} look="act" title={sections.join(', ')}>
      {() => (
        <>
          {acts && (
            <ul className="mt-1 list-disc pl-5">
              {acts.map((a) => (
                <li key={a.text}>
                  <strong>{a.on <= today ? 'Today' : format.day(a.on)}:</strong> {a.text}
                </li>
              ))}
            </ul>
          )}
          {hang && (
            <Suspense>
              <HangCloth plan={hang} />
            </Suspense>
          )}
          {parts && (
            <ul className="mt-1 list-disc pl-5">
              {parts.map((part) => (
                <li key={part}>{part}</li>
              ))}
            </ul>
          )}
          {sequence && (
            <ol className="list-decimal pl-5">
              {sequence.map((t) => (
                <li key={t} className="py-0.5">
                  {t}
                </li>
              ))}
            </ol>
          )}
          {cautions.length > 0 && (
            <ul className="mt-1 list-disc pl-5 text-soft">
              {cautions.map((c) => (
                <li key={c}>{c}</li>
              ))}
            </ul>
          )}
        </>
      )}
    </Unfold>
  );
}
