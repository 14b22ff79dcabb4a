import type { PlantView, TaskDto } from '@candid-leaf/contract';
import { doseInWords } from '@candid-leaf/core/diagnosis';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { sentence } from '../../../lib/words';
import { Panel } from '../../../ui/panel';
import { LitresOpened } from '../../../ui/litres-opened';
import { taskIcon } from '../../../ui/task-icons';

/** Next tasks of this plant with dates: the same ones Today shows on their day. */
export function NextHere({ view }: { view: PlantView }) {
  const lines = [...view.next].sort((a, b) => (a.dueOn < b.dueOn ? -1 : 1));
  return (
    <Panel title="Next here">
      {lines.length === 0 ? (
        <p className="mt-1 text-soft">Nothing is due.</p>
      ) : (
        <ul className="mt-1 divide-y divide-line">
          {lines.map((t) => (
            <Line key={t.key} task={t} />
          ))}
        </ul>
      )}
    </Panel>
  );
}

function Line({ task }: { task: TaskDto }) {
  const format = useFormat();
  const { today } = useGarden();
  const Icon = taskIcon(task.source);
  const amount = task.amount ?? doseInWords(task.dose, format);
  const day = task.held
    ? task.held.until <= today
      ? 'not now'
      : `not before ${format.day(task.held.until)}`
    : task.dueOn <= today
      ? 'today'
      : format.weekdayAndDay(task.dueOn);
  return (
    <li className="flex gap-3 py-2">
      <Icon aria-hidden size={19} className="mt-0.5 shrink-0 text-leaf" />
      <div className="min-w-0 flex-1">
        <p className="flex flex-wrap justify-between gap-x-3">
          <span className="font-semibold">{task.title}</span>
          <span className={task.dueOn <= today && !task.held ? 'font-semibold text-leaf' : 'text-soft'}>{day}</span>
        </p>
        <p className="text-sm text-soft">
          {amount && (
            <span className="block tabular-nums">
              <LitresOpened says={amount} of={task.made?.of} plants={task.made?.plants ?? 1} />
            </span>
          )}
          {sentence(task.held?.because ?? task.why)}
        </p>
      </div>
    </li>
  );
}
