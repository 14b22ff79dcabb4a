import type { SoFarAsk, TaskDto } from '@candid-leaf/contract';
import { addDays, type Day } from '@candid-leaf/core/units';
import { describeRecord, type RecordType } from '@candid-leaf/core/records';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { saveRecord } from '../../../data/records';
import { doTask, undoTask } from '../../../data/tasks';
import { useDeleteWithUndo } from '../../../frame/acts/use-delete-with-undo';
import { RecordSheet } from '../../../frame/acts/record-sheet';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { Button, buttonLook } from '../../../ui/button';
import { useWrite } from '../../../ui/use-write';

interface Answer {
  label: string;
  type: RecordType;
  data: (today: Day) => object;
}

/** A feed "in the last three weeks" lies about this far back, days. */
const FED_BACK_DAYS = 10;

const QUESTIONS: Record<Exclude<SoFarAsk, 'timer' | 'variety' | 'bush'>, { ask: string; yes: Answer; no: Answer }> = {
  tied: {
    ask: 'Tied to a support?',
    yes: { label: 'Yes', type: 'event', data: (date) => ({ date, what: 'tied' }) },
    no: { label: 'Not yet', type: 'event', data: (date) => ({ date, what: 'not-tied-yet' }) },
  },
  cut: {
    ask: 'Suckers and low leaves cut?',
    yes: { label: 'Yes', type: 'pruning', data: (date) => ({ date, what: ['suckers', 'lower-leaves'] }) },
    no: { label: 'Not yet', type: 'event', data: (date) => ({ date, what: 'not-cut-yet' }) },
  },
  fed: {
    ask: 'Fed in the last three weeks?',
    yes: {
      label: 'Yes',
      type: 'feeding',
      data: (date) => ({ date: addDays(date, -FED_BACK_DAYS), n: 5, p2o5: 5, k2o: 5, grams: 20, unknown: true }),
    },
    no: { label: 'No', type: 'feeding', data: (date) => ({ date, n: 0, p2o5: 0, k2o: 0, grams: 0 }) },
  },
  mulched: {
    ask: 'Mulched?',
    yes: { label: 'Yes', type: 'covering', data: (date) => ({ date, what: 'mulch', did: 'on' }) },
    no: { label: 'Not yet', type: 'covering', data: (date) => ({ date, what: 'mulch', did: 'off' }) },
  },
};

/** One tap per question; each answer is a record that can be undone. */
export function SoFar({ task }: { task: TaskDto }) {
  const garden = useGarden();
  const save = useWrite(saveRecord, garden.id);
  const remove = useDeleteWithUndo(garden.id);
  const answer = (asked: string, { type, data, label }: Answer) => {
    const id = uuid();
    const record = { id, type, plantId: null, placeId: task.placeId, data: data(garden.today) } as never;
    save.mutate({ record }, { said: `${task.where}: ${asked} ${label}.`, undo: () => remove(id) });
  };
  return (
    <div className="ml-2 flex w-full flex-col gap-1">
      {(task.asks ?? []).map((ask) => {
        if (ask === 'variety') return <VarietyRight key={ask} task={task} />;
        if (ask === 'bush') return <StillGrows key={ask} task={task} />;
        if (ask === 'timer') return <TimerStill key={ask} task={task} onYes={answer} />;
        const q = QUESTIONS[ask];
        return (
          <div key={ask} className="flex flex-wrap items-center gap-x-2">
            <span className="min-w-24 flex-1">{q.ask}</span>
            <span className="flex gap-1">
              {[q.yes, q.no].map((a) => (
                <Button
                  key={a.label}
                  className="px-3"
                  disabled={save.isPending}
                  aria-label={`${q.ask} ${a.label}: ${task.where}`}
                  onClick={() => answer(q.ask, a)}
                >
                  {a.label}
                </Button>
              ))}
            </span>
          </div>
        );
      })}
    </div>
  );
}

/** Yes settles it; another opens the plant's form. */
function VarietyRight({ task }: { task: TaskDto }) {
  const garden = useGarden();
  const link = useLink();
  const done = useWrite(doTask, garden.id);
  const undo = useWrite(undoTask, garden.id);
  const { key, title, plantId } = task;
  const yes = () =>
    done.mutate(
      { key, recordId: uuid(), estimatedMinutes: task.estimatedMinutes, at: new Date().toISOString() },
      { said: 'Recorded: the variety is right.', undo: () => undo.mutate({ key }) },
    );
  return (
    <span className="flex gap-1">
      <Button className="px-3" disabled={done.isPending} aria-label={`Yes: ${title}`} onClick={yes}>
        Yes
      </Button>
      <Link className={buttonLook()} to={link('plantEdit', { plantId: plantId! })} aria-label={`Another: ${title}`}>
        Another
      </Link>
    </span>
  );
}

/** That it has ended is a record; otherwise the plant's form says what it is. */
function StillGrows({ task }: { task: TaskDto }) {
  const garden = useGarden();
  const link = useLink();
  const save = useWrite(saveRecord, garden.id);
  const remove = useDeleteWithUndo(garden.id);
  const { title, plantId } = task;
  const ended = () => {
    const id = uuid();
    const data = { date: garden.today, what: 'tip-ended' };
    const record = { id, type: 'event', plantId, placeId: null, data } as never;
    save.mutate({ record }, { said: 'Recorded: it is a bush.', undo: () => remove(id) });
  };
  return (
    <span className="flex flex-wrap gap-1">
      <Button className="px-3" disabled={save.isPending} aria-label={`It has ended: ${title}`} onClick={ended}>
        It has ended
      </Button>
      <Link className={buttonLook()} to={link('plantEdit', { plantId: plantId! })} aria-label={`It grows on: ${title}`}>
        It grows on
      </Link>
    </span>
  );
}

/** Once a week: is the timer still set like this? Yes confirms it, no opens its form. */
function TimerStill({ task, onYes }: { task: TaskDto; onYes: (asked: string, answer: Answer) => void }) {
  const garden = useGarden();
  const format = useFormat();
  const [open, setOpen] = useState(false);
  const timer = task.timer!;
  const asked = `${describeRecord('timer', timer, format)}?`;
  return (
    <div className="flex flex-wrap items-center gap-x-2">
      <span className="min-w-24 flex-1">{asked}</span>
      <span className="flex gap-1">
        <Button
          className="px-3"
          aria-label={`${asked} Yes: ${task.where}`}
          onClick={() =>
            onYes(asked, {
              label: 'Yes',
              type: 'timer',
              data: (date) => ({ ...timer, since: timer.since ?? timer.date, date }),
            })
          }
        >
          Yes
        </Button>
        <Button className="px-3" aria-label={`Change the timer: ${task.where}`} onClick={() => setOpen(true)}>
          Change
        </Button>
      </span>
      {open && (
        <RecordSheet
          open
          onClose={() => setOpen(false)}
          target={{ plantId: null, placeId: task.placeId!, name: task.where }}
          day={garden.today}
          kinds={['timer']}
        />
      )}
    </div>
  );
}
