import { SeasonNotesInput, type SeasonNotesDto } from '@candid-leaf/contract';
import { useForm } from 'react-hook-form';
import { Button } from '../../../ui/button';
import { Field, inputLook } from '../../../ui/field';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import type { NotesPatch } from '../use-notes';

/** Placeholder id: created elsewhere with the first part. */
const NONE = '00000000-0000-7000-8000-000000000000';

interface Props {
  year: number;
  notes: SeasonNotesDto | null;
  change: (patch: NotesPatch) => Promise<unknown>;
  /** suggestions from the year */
  prompts: readonly string[];
}

/** What worked and what to change: next year's plan reads it. */
export function LookBack({ year, notes, change, prompts }: Props) {
  const say = useSay();
  const { register, handleSubmit, setError, formState } = useForm<SeasonNotesInput>({
    resolver: resolverFor(SeasonNotesInput),
    defaultValues: notes ?? { id: NONE, year, worked: '', change: '' },
  });
  const submit = handleSubmit(async (input) => {
    try {
      await change({ worked: input.worked ?? null, change: input.change ?? null });
      say('Saved for next year.');
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <Panel title="3. Review" className="print:break-inside-avoid">
      {prompts.length > 0 && (
        <ul className="mt-1 list-disc pl-6 text-soft" aria-label="What the records show">
          {prompts.map((p) => (
            <li key={p}>{p}</li>
          ))}
        </ul>
      )}
      <form noValidate onSubmit={(ev) => void submit(ev)} className="mt-2 flex flex-col gap-3">
        <Field label="What worked" error={formState.errors.worked?.message}>
          {(f) => <textarea id={f.id} rows={3} className={inputLook} {...register('worked')} />}
        </Field>
        <Field
          label="What to change"
          error={formState.errors.change?.message}
          hint="Next year’s plan starts with this."
        >
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
          Save
        </Button>
      </form>
    </Panel>
  );
}
