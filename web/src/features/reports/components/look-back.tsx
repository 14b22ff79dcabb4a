import { SeasonNotesInput, type SeasonNotesDto } from '@candid-leaf/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Field, inputLook } from '../../../ui/field';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { saveNotes } from '../writes';

/** What worked, and what to change: next year's plan reads it. */
export function LookBack({ year, notes }: { year: number; notes: SeasonNotesDto | null }) {
  const garden = useGarden();
  const say = useSay();
  const save = useWrite(saveNotes, garden.id);
  const [id] = useState(() => notes?.id ?? uuid());
  const { register, handleSubmit, setError, formState } = useForm<SeasonNotesInput>({
    resolver: resolverFor(SeasonNotesInput),
    defaultValues: notes ?? { id, year, worked: '', change: '' },
  });
  const submit = handleSubmit(async (input) => {
    try {
      await save.send({ notes: input });
      say('Kept for next year.');
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <Panel title="Looking back" className="print:break-inside-avoid">
      <form noValidate onSubmit={(ev) => void submit(ev)} className="mt-2 flex flex-col gap-3">
        <Field label="What worked" error={formState.errors.worked?.message}>
          {(f) => <textarea id={f.id} rows={3} className={inputLook} {...register('worked')} />}
        </Field>
        <Field label="What to change" error={formState.errors.change?.message} hint="Next year’s plan begins with it.">
          {(f) => (
            <textarea
              id={f.id}
              aria-describedby={f.describedBy}
              rows={3}
              className={inputLook}
              {...register('change')}
            />
          )}
        </Field>
        <RootFault errors={formState.errors} />
        <Button look="main" type="submit" className="self-start print:hidden" disabled={formState.isSubmitting}>
          Keep
        </Button>
      </form>
    </Panel>
  );
}
