import { WateringListInput, type NewLink } from '@candid-leaf/contract';
import type { Away } from '@candid-leaf/core/walks';
import { useQuery } from '@tanstack/react-query';
import { Link2, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { FormDayField } from '../../../ui/day-field';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { ShownOnce } from '../../../ui/shown-once';
import { useWrite } from '../../../ui/use-write';
import { wateringListsQuery } from '../../../data/watering-lists';
import { makeWateringList, takeWateringListBack } from '../../../data/watering-lists';

/** Links to the watering list: opened without an account, each watering can be ticked. */
export function WateringLists({ away }: { away: Away }) {
  const garden = useGarden();
  const format = useFormat();
  const lists = useQuery(wateringListsQuery(garden.id)).data ?? [];
  const make = useWrite(makeWateringList, garden.id);
  const back = useWrite(takeWateringListBack, garden.id);
  const [made, setMade] = useState<(NewLink & { name: string }) | null>(null);
  const fresh = () => ({ id: uuid(), name: '', from: away.from, to: away.to });
  const { control, register, handleSubmit, setError, reset, formState } = useForm<WateringListInput>({
    resolver: resolverFor(WateringListInput),
    defaultValues: fresh(),
  });
  const submit = handleSubmit(async (input) => {
    try {
      setMade({ ...(await make.send({ ...input })), name: input.name });
      reset(fresh());
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  const e = formState.errors;
  return (
    <Panel title="Watering link" className="mb-5 print:hidden">
      <p className="mt-1 text-soft">
        Whoever waters opens the same list on their phone, without an account, and ticks each watering.
      </p>
      <form noValidate onSubmit={(ev) => void submit(ev)} className="mt-3 flex flex-col gap-3">
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-[1fr_10rem_10rem]">
          <TextField label="Their name" className="max-sm:col-span-2" error={e.name?.message} {...register('name')} />
          <FormDayField control={control} name="from" label="First day" />
          <FormDayField control={control} name="to" label="Last day" />
        </div>
        <RootFault errors={e} />
        <Button type="submit" disabled={formState.isSubmitting} className="self-start">
          <Link2 aria-hidden size={17} /> Create link
        </Button>
      </form>
      {made && (
        <ShownOnce
          label={`The link for ${made.name}, shown only once`}
          hint="Anyone with this link can see and tick the waterings."
          value={`${location.origin}${made.path}`}
          copied="Link copied."
        />
      )}
      {lists.length > 0 && (
        <ul className="mt-3 divide-y divide-line border-t border-line">
          {lists.map((l) => (
            <li key={l.id} className="flex items-center justify-between gap-2 py-1">
              <span>
                {l.name}, {format.day(l.from)} to {format.day(l.to)}
              </span>
              <Button
                look="quiet"
                aria-label={`Remove the link of ${l.name}`}
                onClick={() => {
                  if (made?.id === l.id) setMade(null);
                  back.mutate({ id: l.id }, { said: 'The link no longer works.' });
                }}
              >
                <Trash2 aria-hidden size={17} />
              </Button>
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}
