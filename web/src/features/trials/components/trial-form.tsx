import { TrialInput, type GardenView } from '@candid-leaf/contract';
import { signRow, SIGN_CODES } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { FormDayField } from '../../../ui/day-field';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { Select } from '../../../ui/select';
import { FormSelect } from '../../../ui/select-field';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { saveTrial } from '../../../data/trials';

const USUAL_DAYS = 28;
type Side = '' | 'changed' | 'untouched';
const SIDES: [Side, string][] = [
  ['', 'not included'],
  ['changed', 'with the change'],
  ['untouched', 'without'],
];

/** Signs for a trial: countable ones first. */
const MEASURES = [...SIGN_CODES]
  .filter((s) => signRow(s).kind === 'sign')
  .sort((a, b) => Number(signRow(b).counted ?? 0) - Number(signRow(a).counted ?? 0));

/** Sets up a trial: the change, the groups, and the measure. */
export function TrialForm({ view, onDone }: { view: GardenView; onDone: () => void }) {
  const { garden } = view;
  const say = useSay();
  const save = useWrite(saveTrial, garden.id);
  const [sides, setSides] = useState<Record<string, Side>>({});
  const plants = view.places.flatMap((p) =>
    p.plants.map((x) => ({ id: x.plant.id, name: x.plant.name, place: p.place.name })),
  );
  const of = (side: Side): string[] => plants.filter((p) => sides[p.id] === side).map((p) => p.id);
  const { control, register, handleSubmit, setError, formState } = useForm<TrialInput>({
    resolver: resolverFor(TrialInput, (t) => ({ ...t, changed: of('changed'), untouched: of('untouched') })),
    defaultValues: {
      id: uuid(),
      name: '',
      measure: 'fruit-blossom-end-dark',
      changed: [],
      untouched: [],
      startedOn: garden.today,
      judgeOn: addDays(garden.today, USUAL_DAYS),
    },
  });
  const e = formState.errors;
  const submit = handleSubmit(async (trial) => {
    try {
      await save.send({ trial });
      say(`${trial.name}: started. Check both groups in the same way.`);
      onDone();
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <Panel title="New trial">
      <form noValidate onSubmit={(ev) => void submit(ev)} className="mt-2 flex flex-col gap-4">
        <TextField
          label="The one change"
          placeholder="mulch, half the feed, a cage"
          error={e.name?.message}
          {...register('name')}
        />
        <FormSelect
          control={control}
          label="What you look for"
          options={MEASURES.map((s) => [s, signRow(s).label])}
          name="measure"
        />
        <div className="grid grid-cols-2 gap-3">
          <FormDayField control={control} name="startedOn" label="Begins" />
          <FormDayField control={control} name="judgeOn" label="Judge it on" />
        </div>
        <fieldset>
          <legend className="font-semibold">
            Which plants? Choose similar ones, as many as you can. Fewer than four in each group show nothing.
          </legend>
          <ul className="mt-1 divide-y divide-line">
            {plants.map((p) => (
              <li key={p.id} className="flex items-center justify-between gap-3 py-1">
                <span>
                  {p.name} <span className="text-sm text-soft">{p.place}</span>
                </span>
                <Select
                  aria-label={p.name}
                  narrow
                  value={sides[p.id] ?? ''}
                  onChange={(side) => setSides({ ...sides, [p.id]: side as Side })}
                  options={SIDES}
                />
              </li>
            ))}
          </ul>
        </fieldset>
        {[
          e.changed?.message && `With the change: ${e.changed.message}`,
          e.untouched?.message && `Without: ${e.untouched.message}`,
        ]
          .filter(Boolean)
          .map((text) => (
            <p key={text as string} role="alert" className="text-ripe">
              {text}
            </p>
          ))}
        <RootFault errors={e} />
        <div className="flex gap-2">
          <Button type="submit" look="main" disabled={formState.isSubmitting}>
            Start trial
          </Button>
          <Button look="quiet" onClick={onDone}>
            Cancel
          </Button>
        </div>
      </form>
    </Panel>
  );
}
