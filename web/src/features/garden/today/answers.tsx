import type { TaskDto } from '@candid-leaf/contract';
import { Check, Eye, Footprints } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { doTask, postponeTask, undoTask } from '../../../data/tasks';
import { SoilFeel } from '../../../frame/acts/soil-feel';
import { useGarden, useLink, useMay } from '../../../lib/garden-context';
import { Button, buttonLook } from '../../../ui/button';
import { useWrite } from '../../../ui/use-write';
import { Tick } from './task-row';

// fetched when something is asked, so the page comes sooner
const Picks = lazy(async () => ({ default: (await import('./picks')).Picks }));
const Rooting = lazy(async () => ({ default: (await import('./rooting')).Rooting }));
const SoFar = lazy(async () => ({ default: (await import('./so-far')).SoFar }));

/** Returns how a task is ticked and put off, each with undo. */
function useTaskActs(task: TaskDto) {
  const garden = useGarden();
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
  return { tick, putOff, isPending: done.isPending };
}

/** Where a task is seen to, if that is a page of its own; null: it is answered here. */
function useGoing(task: TaskDto): { to: string; label: string; says: string; icon: typeof Eye } | null {
  const link = useLink();
  if (task.see && task.plantId)
    return {
      to: link('look', { plantId: task.plantId }, { part: task.see }),
      label: task.title,
      says: 'Go and see',
      icon: Eye,
    };
  if (task.source === 'look-again' && task.plantId)
    return { to: link('plant', { plantId: task.plantId }), label: task.title, says: 'Go and see', icon: Eye };
  if (task.walk && task.placeId)
    return {
      to: link('placeWalk', { placeId: task.placeId }),
      label: `Start: ${task.title}`,
      says: 'Start',
      icon: Footprints,
    };
  return null;
}

/** True if one touch settles it. */
const isTicked = (t: TaskDto): boolean =>
  !(t.feel && t.placeId) && !t.asks && !t.picks && t.source !== 'trial' && !t.rooting;

/** The one touch at the end of a closed line: a tick, or the way there; nothing where the answer is a choice. */
export function Beside({ task }: { task: TaskDto }) {
  const { tick, isPending } = useTaskActs(task);
  const going = useGoing(task);
  if (going)
    return (
      <Link
        to={going.to}
        aria-label={going.label}
        className="grid size-11 shrink-0 place-items-center rounded-lg text-leaf hover:bg-leafwash"
      >
        <going.icon aria-hidden size={20} />
      </Link>
    );
  return isTicked(task) ? (
    <Tick label={`Done: ${task.title}, ${task.where}`} onTick={tick} disabled={isPending} />
  ) : null;
}

/** The answers of a short choice, below its line. */
export function Below({ task }: { task: TaskDto }) {
  const { tick, isPending } = useTaskActs(task);
  return <Choice task={task} tick={tick} isPending={isPending} />;
}
/** True if its answers fit below its line. */
export const isShortChoice = (t: TaskDto): boolean =>
  Boolean((t.feel && t.placeId) || t.rooting || (t.picks && (t.plantIds ?? []).length <= MOST_BELOW));
/** More plants to pick from stand in the opened task. */
const MOST_BELOW = 3;

/** The answers of an opened task. What stands at the end of its line already is left out. */
export function Answers({ task, next }: { task: TaskDto; next: boolean }) {
  const { tick, putOff, isPending } = useTaskActs(task);
  const going = useGoing(task);
  return (
    <div className="mt-1.5 flex flex-wrap gap-1">
      {going ? (
        <>
          {next && (
            <Link className={buttonLook('main')} to={going.to} aria-label={going.label}>
              <going.icon aria-hidden size={17} /> {going.says}
            </Link>
          )}
          {task.walk && (
            <Button look="quiet" onClick={tick} disabled={isPending} aria-label={`All clear: ${task.title}`}>
              <Check aria-hidden size={17} /> All clear
            </Button>
          )}
        </>
      ) : isTicked(task) ? (
        next && (
          <Button look="main" onClick={tick} disabled={isPending} aria-label={`Done: ${task.title}, ${task.where}`}>
            <Check aria-hidden size={17} /> Done
          </Button>
        )
      ) : (
        (next || !isShortChoice(task)) && <Choice task={task} tick={tick} isPending={isPending} />
      )}
      <Button look="quiet" onClick={putOff} aria-label={`Not today: ${task.title}, ${task.where}`}>
        Not today
      </Button>
    </div>
  );
}

/** A task answered by a choice. */
function Choice({ task, tick, isPending }: { task: TaskDto; tick: () => void; isPending: boolean }) {
  const link = useLink();
  const may = useMay();
  if (task.feel && task.placeId)
    return (
      <SoilFeel
        place={{ id: task.placeId, name: task.where }}
        said={(felt) => `Recorded: the soil felt ${felt}. The plan follows.`}
      />
    );
  if (task.source === 'trial')
    return (
      <>
        <Button onClick={tick} disabled={isPending} aria-label={`Checked: ${task.title}`}>
          <Check aria-hidden size={17} /> Checked
        </Button>
        <Link className={buttonLook('quiet')} to={link('trials', {})}>
          See it
        </Link>
      </>
    );
  return (
    <Suspense>
      {task.asks ? (
        <SoFar task={task} />
      ) : task.picks ? (
        <Picks task={task} />
      ) : task.rooting === 'look' || may('keep') ? (
        <Rooting task={task} />
      ) : null}
    </Suspense>
  );
}
