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

// fetched when something is asked, so the page comes sooner
const Picks = lazy(async () => ({ default: (await import('./picks')).Picks }));
const Rooting = lazy(async () => ({ default: (await import('./rooting')).Rooting }));
const SoFar = lazy(async () => ({ default: (await import('./so-far')).SoFar }));

/** Done or not today; follow-ups are answered where they are. */
export function Answers({ task }: { task: TaskDto }) {
  const garden = useGarden();
  const link = useLink();
  const may = useMay();
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
        <Suspense>
          <SoFar task={task} />
        </Suspense>
      ) : task.picks ? (
        <Suspense>
          <Picks task={task} />
        </Suspense>
      ) : task.source === 'trial' ? (
        <>
          <Button className="ml-2" onClick={tick} disabled={done.isPending} aria-label={`Checked: ${task.title}`}>
            <Check aria-hidden size={17} /> Checked
          </Button>
          <Link className={buttonLook('quiet')} to={link('trials', {})}>
            See it
          </Link>
        </>
      ) : task.rooting === 'look' || (task.rooting && may('keep')) ? (
        <Suspense>
          <Rooting task={task} />
        </Suspense>
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
