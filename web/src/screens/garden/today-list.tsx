import type { TaskDto } from '@candid-leaf/contract';
import { doseInWords } from '@candid-leaf/core/diagnosis';
import { Check, Droplets, Eye, Hand, ThermometerSun } from 'lucide-react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useDayWords, useGarden } from '../../data/garden-context';
import { useNotToday, useTaskDone, useTaskUndo } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { useSay } from '../../parts/toast';

const ICONS = { water: Droplets, remedy: Hand, 'look-again': Eye, protect: ThermometerSun };

/** What to do today: short, each with its amount and its why, done or put off with one touch. */
export function TodayList({ tasks }: { tasks: readonly TaskDto[] }) {
  const { units } = useGarden();
  const litres = tasks.reduce(
    (sum, t) => sum + (t.plantId && (t.kind === 'water' || t.dose?.everyDays) ? (t.dose?.litres ?? 0) : 0),
    0,
  );
  return (
    <section aria-labelledby="today" className="rounded-2xl border border-line bg-card p-4">
      <h2 id="today" className="text-xl">
        Today
      </h2>
      {tasks.length === 0 ? (
        <p className="mt-2 text-soft">Nothing is due. A look round never hurts.</p>
      ) : (
        <>
          <p className="text-sm text-soft">
            {tasks.length} {tasks.length === 1 ? 'thing' : 'things'} to do
            {litres > 0 ? `, ${showLitres(litres, units)} of water by can` : ''}
          </p>
          <ul className="mt-1 divide-y divide-line">
            {tasks.map((t) => (
              <Task key={t.key} task={t} />
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

function Task({ task }: { task: TaskDto }) {
  const garden = useGarden();
  const say = useSay();
  const done = useTaskDone(garden.id);
  const undo = useTaskUndo(garden.id);
  const later = useNotToday(garden.id);
  const dayWords = useDayWords();
  const Icon = ICONS[task.kind];
  const dose = doseInWords(task.dose, garden.units);
  const tick = () => {
    const recordId = uuid();
    done.mutate(
      { key: task.key, recordId },
      {
        onSuccess: (r) =>
          say(`Done: ${task.title}.`, {
            undo: () => undo.mutate({ key: task.key, ...(r.recordId ? { recordId: r.recordId } : {}) }),
          }),
        onError: (e) => say(e.message, { bad: true }),
      },
    );
  };
  const putOff = () =>
    later.mutate(task.key, {
      onSuccess: () => say(`Not today: ${task.title}.`, { undo: () => undo.mutate({ key: task.key }) }),
    });
  return (
    <li className="py-3">
      <div className="flex gap-3">
        <Icon
          aria-hidden
          size={20}
          className={`mt-0.5 shrink-0 ${task.dueOn < garden.today ? 'text-ripe' : 'text-leaf'}`}
        />
        <div className="min-w-0 flex-1">
          <p className="font-semibold">
            {task.title}
            {dose && <span className="font-normal tabular-nums">: {dose}</span>}
          </p>
          <p className="text-sm text-soft">
            {task.where}. {sentence(task.why)}
          </p>
          {task.acts && (
            <ul className="mt-1 list-disc pl-5 text-sm">
              {task.acts.map((a) => (
                <li key={a.text}>
                  <strong>{a.on <= garden.today ? 'Today' : dayWords(a.on)}:</strong> {a.text}
                </li>
              ))}
            </ul>
          )}
          {task.cautions.length > 0 && (
            <details className="text-sm">
              <summary className="min-h-6 cursor-pointer text-soft">Mind</summary>
              <ul className="list-disc pl-5">
                {task.cautions.map((c) => (
                  <li key={c}>{c}</li>
                ))}
              </ul>
            </details>
          )}
          <div className="mt-1.5 -ml-2 flex flex-wrap gap-1">
            {task.kind === 'look-again' ? (
              <Link
                className={buttonLook('main')}
                to={`/gardens/${garden.id}/plants/${task.plantId}`}
                aria-label={task.title}
              >
                <Eye aria-hidden size={17} /> Go and see
              </Link>
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
        </div>
      </div>
    </li>
  );
}

const sentence = (text: string): string => {
  const t = text.charAt(0).toUpperCase() + text.slice(1);
  return /[.!?]$/.test(t) ? t : `${t}.`;
};
