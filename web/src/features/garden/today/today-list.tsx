import type { TaskDto } from '@candid-leaf/contract';
import { fillTime } from '@candid-leaf/core/budget';
import { doseInWords } from '@candid-leaf/core/diagnosis';
import { Check, Eye, Footprints, Sprout } from 'lucide-react';
import { Link } from 'react-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useFormat, useGarden, useLink, useMay } from '../../../lib/garden-context';
import { sentence, whereAndWhy } from '../../../lib/words';
import { Button, buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Unfold } from '../../../ui/unfold';
import { useWide } from '../../../ui/use-wide';
import { useWrite } from '../../../ui/use-write';
import { LitresOpened } from '../../../ui/litres-opened';
import { fetchedLater } from '../../../ui/fetched-later';
import { SoilFeel } from '../../../frame/acts/soil-feel';
import { Budget } from './budget';
import { Picks } from './picks';
import { taskIcon } from '../../../ui/task-icons';
import { doTask, postponeTask, undoTask } from '../../../data/tasks';

/** Maximum lines shown before folding, on a phone and on a desk. */
const MOST_OPEN = { phone: 3, desk: 5 };
/** Lists this short show every task fully. */
const SHORT = 3;
/** Most tasks on hold shown fully. */
const MOST_WAITING = 3;

const SoFar = fetchedLater(async () => (await import('./so-far')).SoFar);

interface Props {
  tasks: readonly TaskDto[];
  /** its place in the walking order; null: none */
  orderOf: (task: TaskDto) => number | null;
}

/** Today: short, each task with amount and reason, done or postponed with one touch. Tasks on hold show until when. */
export function TodayList({ tasks, orderOf }: Props) {
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
  const most = useWide() ? MOST_OPEN.desk : MOST_OPEN.phone;
  const rest = budget === null ? due.slice(most) : [];
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
            {due.length} {due.length === 1 ? 'thing' : 'things'} to do, about {minutes} minutes
            {litres > 0 ? `, ${format.litres(litres)} of water` : ''}
          </p>
          <ul className="mt-1 divide-y divide-line">
            {(budget === null ? due.slice(0, most) : due).map((t) => (
              <Task key={t.key} task={t} short={due.length <= SHORT} />
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
              {rest.map((t) => (
                <Task key={t.key} task={t} short={false} />
              ))}
            </ul>
          )}
        </Unfold>
      )}
      {held.length > 0 && (
        <Unfold
          open={held.length <= MOST_WAITING}
          className="mt-1 border-t border-line text-sm text-soft"
          look="act"
          title={`Not now: ${held.length}`}
        >
          {() => (
            <ul aria-label="Not now">
              {held.map((t) => (
                <li key={t.key} className="py-1">
                  <strong>Not now: {t.title}.</strong> {sentence(t.held!.because)}
                </li>
              ))}
            </ul>
          )}
        </Unfold>
      )}
    </Panel>
  );
}

function Task({ task, short }: { task: TaskDto; short: boolean }) {
  const garden = useGarden();
  const may = useMay();
  const format = useFormat();
  const Icon = taskIcon(task.source);
  const dose = task.amount ?? doseInWords(task.dose, format);
  return (
    <li className="py-2.5">
      <div className="flex gap-3">
        <Icon
          aria-hidden
          size={20}
          className={`mt-0.5 shrink-0 ${task.dueOn < garden.today ? 'text-ripe' : 'text-leaf'}`}
        />
        <div className="min-w-0 flex-1">
          <p className="font-semibold">
            {task.title}
            {dose && (
              <span className="font-normal tabular-nums">
                : <LitresOpened says={dose} of={task.made?.of} plants={task.made?.plants ?? 1} />
              </span>
            )}
          </p>
          <p className="text-sm text-soft">{whereAndWhy(task)}</p>
          <Steps task={task} open={short} />
          {may('record') && <Answers task={task} />}
        </div>
      </div>
    </li>
  );
}

/** Steps and precautions of a task behind one touch, so the list stays short. */
function Steps({ task, open }: { task: TaskDto; open: boolean }) {
  const format = useFormat();
  const { today } = useGarden();
  const { parts, acts, sequence, cautions } = task;
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

/** Done or not today; follow-ups are answered where they are. */
function Answers({ task }: { task: TaskDto }) {
  const garden = useGarden();
  const link = useLink();
  const done = useWrite(doTask, garden.id);
  const undo = useWrite(undoTask, garden.id);
  const later = useWrite(postponeTask, garden.id);
  const { key } = task;
  const tick = () =>
    done.mutate(
      { key, recordId: uuid(), estimatedMinutes: task.estimatedMinutes, at: new Date().toISOString() },
      { said: `Done: ${task.title}.`, undo: ({ recordId }) => undo.mutate({ key, recordId }) },
    );
  const putOff = () => later.mutate({ key }, { said: `Not today: ${task.title}.`, undo: () => undo.mutate({ key }) });
  return (
    <div className="mt-1.5 -ml-2 flex flex-wrap gap-1">
      {task.feel && task.placeId ? (
        <span className="ml-2">
          <SoilFeel
            place={{ id: task.placeId, name: task.where }}
            said={(felt) => `Recorded: the soil felt ${felt}. The plan follows.`}
          />
        </span>
      ) : task.asks ? (
        <SoFar task={task} />
      ) : task.picks ? (
        <Picks task={task} />
      ) : task.source === 'trial' ? (
        <>
          <Button className="ml-2" onClick={tick} disabled={done.isPending} aria-label={`Checked: ${task.title}`}>
            <Check aria-hidden size={17} /> Checked
          </Button>
          <Link className={buttonLook('quiet')} to={link('trials', {})}>
            See it
          </Link>
        </>
      ) : task.rooting === 'plant' && task.placeId ? (
        <>
          <Link
            className={buttonLook('main')}
            to={link('newPlant', { placeId: task.placeId }, { from: task.plantId ?? undefined })}
            aria-label={`Add plant: ${task.title}`}
          >
            <Sprout aria-hidden size={17} /> Add plant
          </Link>
          <Button
            look="quiet"
            onClick={tick}
            disabled={done.isPending}
            aria-label={`Done: ${task.title}, ${task.where}`}
          >
            <Check aria-hidden size={17} /> Done
          </Button>
        </>
      ) : task.see && task.plantId ? (
        <Link
          className={buttonLook('main')}
          to={link('look', { plantId: task.plantId }, { part: task.see })}
          aria-label={task.title}
        >
          <Eye aria-hidden size={17} /> Go and see
        </Link>
      ) : task.source === 'look-again' && task.plantId ? (
        <Link className={buttonLook('main')} to={link('plant', { plantId: task.plantId })} aria-label={task.title}>
          <Eye aria-hidden size={17} /> Go and see
        </Link>
      ) : task.walk && task.placeId ? (
        <>
          <Link
            className={buttonLook('main')}
            to={link('placeWalk', { placeId: task.placeId })}
            aria-label={`Start: ${task.title}`}
          >
            <Footprints aria-hidden size={17} /> Start
          </Link>
          <Button look="quiet" onClick={tick} disabled={done.isPending} aria-label={`All clear: ${task.title}`}>
            <Check aria-hidden size={17} /> All clear
          </Button>
        </>
      ) : (
        <Button
          className="ml-2"
          onClick={tick}
          disabled={done.isPending}
          aria-label={`Done: ${task.title}, ${task.where}`}
        >
          <Check aria-hidden size={17} /> Done
        </Button>
      )}
      <Button look="quiet" onClick={putOff} aria-label={`Not today: ${task.title}, ${task.where}`}>
        Not today
      </Button>
    </div>
  );
}
