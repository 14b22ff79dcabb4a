import { HoseTimerInput, type GardenDto, type HoseTimerDto } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { Failed, Waiting } from '../../../ui/states';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { hoseTimerQuery } from '../../../data/water';
import { removeHoseTimer, saveHoseTimer } from '../../../data/water';

/** The garden's hose timer: its address and secret. */
export function HoseTimer({ garden }: { garden: GardenDto }) {
  const timer = useQuery(hoseTimerQuery(garden.id));
  return (
    <Panel title="Hose timer">
      {timer.isPending ? (
        <Waiting what="Asking" />
      ) : timer.error ? (
        <Failed error={timer.error} again={() => void timer.refetch()} />
      ) : (
        <Settings key={timer.data.address} garden={garden} timer={timer.data} />
      )}
    </Panel>
  );
}

function Settings({ garden, timer }: { garden: GardenDto; timer: HoseTimerDto }) {
  const say = useSay();
  const save = useWrite(saveHoseTimer, garden.id);
  const remove = useWrite(removeHoseTimer, garden.id);
  const form = useForm<HoseTimerInput>({
    resolver: resolverFor(HoseTimerInput),
    defaultValues: { address: timer.address ?? '', secret: null },
  });
  if (timer.allowed.length === 0)
    return (
      <p className="mt-1 text-soft">
        This server can’t contact hose timers. The person who runs it can allow their addresses (TIMER_HOSTS).
      </p>
    );
  const submit = form.handleSubmit(async (input) => {
    try {
      await save.send({ timer: input });
      say('Hose timer: saved.');
    } catch (error) {
      applyFaults(error, form.setError);
    }
  });
  const e = form.formState.errors;
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="mt-1 flex flex-col gap-3">
      <p className="text-soft">
        {timer.address
          ? 'The timer waters only this garden. Assign its outlets on each bed’s or pot’s water plan.'
          : 'We can send the week’s plan to a timer on your tap and read what it gave.'}
      </p>
      <TextField
        label="Address"
        inputMode="url"
        autoComplete="off"
        placeholder={`${timer.allowed[0]}/…`}
        error={e.address?.message}
        {...form.register('address')}
      />
      <TextField
        label="Secret"
        type="password"
        autoComplete="off"
        hint={
          timer.address
            ? 'Stored and never shown again. Leave empty to keep the current one.'
            : 'As printed on the box, or as you set it there.'
        }
        error={e.secret?.message}
        {...form.register('secret', emptyIsUnknown)}
      />
      <RootFault errors={e} />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={form.formState.isSubmitting}>
          Save timer
        </Button>
        {timer.address && (
          <Button
            look="quiet"
            disabled={remove.isPending}
            onClick={() => remove.mutate({}, { said: 'Timer removed. It will keep running its last programme.' })}
          >
            Remove timer
          </Button>
        )}
      </div>
    </form>
  );
}
