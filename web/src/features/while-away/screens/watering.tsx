import type { WateringListView } from '@candid-leaf/contract';
import { formatterFor } from '@candid-leaf/core/units';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Check, Droplets } from 'lucide-react';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { v7 as uuid } from 'uuid';
import { api, ApiError } from '../../../lib/api';
import { whereAndWhy } from '../../../lib/words';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Empty, Failed, Waiting } from '../../../ui/states';
import { useSay } from '../../../ui/toast';
import { Waterings } from '../components/waterings';
import { HOW_TO_WATER, IN_HEAT } from '../how';
import { wateringQuery } from '../../../data/watering-lists';

/** The watering list opened by its link: nothing else of the garden, no account. */
export function WateringScreen() {
  const secret = useLocation().hash.slice(1);
  const list = useQuery({ ...wateringQuery(secret), enabled: secret !== '' });
  return (
    <main className="mx-auto max-w-2xl p-4">
      {secret === '' || (list.error instanceof ApiError && list.error.status === 404) ? (
        <>
          <h1 className="mb-4 text-3xl">Watering</h1>
          <Empty title="The link no longer works">
            <p>It has expired or was removed. Ask the person who sent it for a new one.</p>
          </Empty>
        </>
      ) : list.isPending ? (
        <Waiting what="Loading the list" />
      ) : list.error ? (
        <Failed error={list.error} again={() => void list.refetch()} />
      ) : (
        <List view={list.data} secret={secret} />
      )}
    </main>
  );
}

function List({ view, secret }: { view: WateringListView; secret: string }) {
  const format = formatterFor(view.garden.units, view.garden.dateForm);
  const { today } = view.garden;
  const away = { from: today > view.from ? today : view.from, to: view.to };
  return (
    <>
      <h1 className="text-3xl">Watering {view.garden.name}</h1>
      <p className="mb-4 text-soft">
        For {view.name}, {format.day(view.from)} to {format.day(view.to)}
      </p>
      <Panel title={`Today, ${format.day(today)}`} main asking={view.tasks.length > 0}>
        {today < view.from ? (
          <p className="mt-1">It starts on {format.day(view.from)}. This is how it looks so far.</p>
        ) : view.tasks.length === 0 ? (
          <p className="mt-1">{view.done.length > 0 ? 'All watered. Thank you.' : 'Nothing to water today.'}</p>
        ) : (
          <ul className="mt-1 divide-y divide-line">
            {view.tasks.map((task) => (
              <Task key={task.key} task={task} secret={secret} litres={format.litres} />
            ))}
          </ul>
        )}
        {view.done.length > 0 && (
          <ul className="mt-2 border-t border-line pt-2 text-soft">
            {view.done.map((d) => (
              <li key={d.id} className="flex items-center gap-2">
                <Check aria-hidden size={17} className="text-leaf" /> {d.name}:{' '}
                {d.litres === null ? '' : `${format.litres(d.litres)}, `}watered
              </li>
            ))}
          </ul>
        )}
      </Panel>
      {view.notices.length > 0 && (
        <Panel title="Sprayed here" className="mt-4">
          <ul className="mt-1 list-disc pl-5 font-semibold text-ripe">
            {view.notices.map((n) => (
              <li key={n}>{n}.</li>
            ))}
          </ul>
        </Panel>
      )}
      <p className="mt-4 max-w-prose">{HOW_TO_WATER}</p>
      <h2 className="mt-5 text-xl">The next days</h2>
      <ul className="divide-y divide-line">
        {view.places.map((place) => (
          <li key={place.id} className="py-3">
            <h3 className="text-xl">{place.name}</h3>
            <Waterings plan={place} away={away} format={format} />
          </li>
        ))}
      </ul>
      <p className="mt-2 text-soft">{IN_HEAT}</p>
    </>
  );
}

interface TaskProps {
  task: WateringListView['tasks'][number];
  secret: string;
  litres: (l: number) => string;
}

function Task({ task, secret, litres }: TaskProps) {
  const client = useQueryClient();
  const say = useSay();
  // the same watering always uses the same id, however often the button is touched
  const [recordId] = useState(() => uuid());
  const [busy, setBusy] = useState(false);
  const at = `/watering/${encodeURIComponent(secret)}`;
  const send = async (what: 'ticks' | 'undo'): Promise<void> => {
    setBusy(true);
    try {
      await api('POST', `${at}/${what}`, { key: task.key, recordId });
      if (what === 'ticks') say(`Done: ${task.title}.`, { undo: () => void send('undo') });
      await client.invalidateQueries({ queryKey: wateringQuery(secret).queryKey });
    } catch (error) {
      say(error instanceof ApiError ? error.message : 'We can’t reach the server. Try again when you’re back online.', {
        bad: true,
      });
    } finally {
      setBusy(false);
    }
  };
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2 py-3">
      <div className="min-w-0 flex-1 basis-56">
        <p className="font-semibold">
          {task.title}
          {task.litres !== null && <span className="tabular-nums">: {litres(task.litres)}</span>}
        </p>
        <p className="text-sm text-soft">{whereAndWhy(task)}</p>
      </div>
      {!task.feel && (
        <Button look="main" disabled={busy} aria-label={`Watered: ${task.title}`} onClick={() => void send('ticks')}>
          <Droplets aria-hidden size={18} /> Watered
        </Button>
      )}
    </li>
  );
}
