import type { GardenView, TrialDto } from '@candid-leaf/contract';
import type { TrialVerdict } from '@candid-leaf/core/helped';
import { useQuery } from '@tanstack/react-query';
import { FlaskConical, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Failed, Waiting } from '../../../ui/states';
import { useWrite } from '../../../ui/use-write';
import { ShedPage } from '../../../frame/shed-page';
import { TrialForm } from '../components/trial-form';
import { trialsQuery } from '../../../data/trials';
import { deleteTrial } from '../../../data/trials';

/** Trials: two groups of plants, one change, one measure, a day to judge. */
export function TrialsScreen() {
  return <ShedPage>{(view) => <Trials view={view} />}</ShedPage>;
}

function Trials({ view }: { view: GardenView }) {
  const query = useQuery(trialsQuery(view.garden.id));
  const [adding, setAdding] = useState(false);
  if (query.isPending) return <Waiting what="Loading trials" />;
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[1fr_26rem]">
      <div className="flex flex-col gap-4">
        {query.data.length === 0 && (
          <Panel title="No trial yet">
            <p className="mt-1 max-w-prose text-soft">
              Change one thing for half of the plants and leave the rest alone. Check both in the same way; the records
              show whether it made a difference.
            </p>
          </Panel>
        )}
        {query.data.map((t) => (
          <Trial key={t.id} trial={t} view={view} />
        ))}
      </div>
      {adding ? (
        <TrialForm view={view} onDone={() => setAdding(false)} />
      ) : (
        <Button look="main" className="justify-self-start" onClick={() => setAdding(true)}>
          <FlaskConical aria-hidden size={18} /> Start a trial
        </Button>
      )}
    </div>
  );
}

const VERDICT: Record<TrialVerdict, string> = {
  'too-few': 'Too few to say',
  'no-difference-shown': 'No difference found',
  fewer: 'Fewer with the change',
  more: 'More with the change',
};

function Trial({ trial: t, view }: { trial: TrialDto; view: GardenView }) {
  const f = useFormat();
  const garden = useGarden();
  const remove = useWrite(deleteTrial, garden.id);
  const names = (ids: readonly string[]): string =>
    ids
      .map(
        (id) =>
          view.places.flatMap((p) => p.plants).find((p) => p.plant.id === id)?.plant.name ?? 'a plant no longer here',
      )
      .join(', ');
  return (
    <Panel title={t.name}>
      <p className="text-sm text-soft">
        Started {f.day(t.startedOn)}, {t.judgedOn ? `judged ${f.day(t.judgedOn)}` : `judge it ${f.day(t.judgeOn)}`}
      </p>
      <p className="mt-2 font-semibold">
        {t.judgedOn ? VERDICT[t.verdict] : `So far: ${VERDICT[t.verdict].toLowerCase()}`}
      </p>
      <p>{t.text}</p>
      <dl className="mt-2 grid gap-x-4 text-sm sm:grid-cols-2">
        <div>
          <dt className="text-soft">With the change</dt>
          <dd>{names(t.changed)}</dd>
        </div>
        <div>
          <dt className="text-soft">Without</dt>
          <dd>{names(t.untouched)}</dd>
        </div>
      </dl>
      <Button
        look="quiet"
        className="mt-1 -ml-3"
        onClick={() => remove.mutate({ id: t.id }, { said: 'Deleted.' })}
        aria-label={`Delete the trial ${t.name}`}
      >
        <Trash2 aria-hidden size={17} /> Delete
      </Button>
    </Panel>
  );
}
