import type { PlantView, TaskDto } from '@candid-leaf/contract';
import { doseInWords } from '@candid-leaf/core/diagnosis';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { sentence } from '../../../lib/words';
import { Panel } from '../../../ui/panel';
import { Unfold } from '../../../ui/unfold';
import { LitresOpened } from '../../../ui/litres-opened';
import { taskIcon } from '../../../ui/task-icons';
import { Coming } from './coming';

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
      <Coming view={view} />
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
    <li>
      <Unfold
        look="task"
        title={
          <span className="flex min-w-0 flex-1 items-start gap-2">
            <Icon aria-hidden size={19} className="mt-0.5 shrink-0 text-leaf" />
            <span className="min-w-0 flex-1 leading-snug">
              <span className="font-semibold">{task.title}</span>{' '}
              <span className={task.dueOn <= today && !task.held ? 'font-semibold text-leaf' : 'text-soft'}>{day}</span>
            </span>
          </span>
        }
      >
        {() => (
          <p className="pb-2 pl-7 text-sm text-soft">
            {amount && (
              <span className="block tabular-nums">
                <LitresOpened says={amount} of={task.made?.of} plants={task.made?.plants ?? 1} />
              </span>
            )}
            {sentence(task.held?.because ?? task.why)}
          </p>
        )}
      </Unfold>
    </li>
  );
}
