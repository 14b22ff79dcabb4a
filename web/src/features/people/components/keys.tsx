import { AccessKeyInput, type NewAccessKey } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { KeyRound, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { FormSelect } from '../../../ui/select-field';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { ShownOnce } from '../../../ui/shown-once';
import { useWrite } from '../../../ui/use-write';
import { keysQuery } from '../../../data/people';
import { ROLE_OPTIONS, ROLE_WORDS } from '../role-words';
import { makeKey, removeKey } from '../../../data/people';
import { Unfold } from '../../../ui/unfold';

const DAYS = [
  ['30', 'A month'],
  ['92', 'Three months'],
  ['366', 'A year'],
] as const;
const fresh = () => ({ id: uuid(), name: '', role: 'record', days: 92 }) as const;

/** Keys for scripts at home: for this garden only, limited by role. */
export function Keys() {
  const garden = useGarden();
  const keys = useQuery(keysQuery(garden.id)).data ?? [];
  const make = useWrite(makeKey, garden.id);
  const remove = useWrite(removeKey, garden.id);
  const [made, setMade] = useState<NewAccessKey | null>(null);
  const { register, control, handleSubmit, setError, reset, formState } = useForm<AccessKeyInput>({
    resolver: resolverFor(AccessKeyInput),
    defaultValues: fresh(),
  });
  const submit = handleSubmit(async (input) => {
    try {
      setMade(await make.send({ ...input }));
      reset(fresh());
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  const e = formState.errors;
  return (
    <Panel title="Keys for scripts">
      <p className="mt-1 text-soft">
        With a key, a script at home (say, of a rain gauge) can write to this garden only.{' '}
        <a className="underline" href="/api/docs">
          API description
        </a>
      </p>
      <ul className="divide-y divide-line">
        {keys.map((k) => (
          <li key={k.id} className="flex items-center justify-between gap-2 py-1">
            <span>
              <strong>{k.name}</strong>, {ROLE_WORDS[k.role].name.toLowerCase()}{' '}
              <span className="block text-sm text-soft">
                {k.usedAt ? `last used ${format(parseISO(k.usedAt), 'd MMMM')}` : 'not used yet'}, valid until{' '}
                {format(parseISO(k.expiresAt), 'd MMMM yyyy')}
              </span>
            </span>
            <Button
              look="quiet"
              aria-label={`Remove the key ${k.name}`}
              onClick={() => {
                if (made?.id === k.id) setMade(null);
                remove.mutate({ id: k.id }, { said: 'The key no longer works.' });
              }}
            >
              <Trash2 aria-hidden size={17} />
            </Button>
          </li>
        ))}
      </ul>
      {made && (
        <ShownOnce
          label={`The key ${made.name}, shown only once`}
          hint="Send the header “Authorization: Bearer” followed by the key."
          value={made.key}
          copied="Key copied."
        />
      )}
      <Unfold
        className="mt-2"
        look="act"
        title={
          <>
            <KeyRound aria-hidden size={17} /> New key
          </>
        }
      >
        {() => (
          <form noValidate onSubmit={(ev) => void submit(ev)} className="mt-3 flex flex-col gap-3">
            <TextField label="Name of the key" error={e.name?.message} {...register('name')} />
            <FormSelect control={control} label="Access" options={ROLE_OPTIONS} name="role" />
            <FormSelect control={control} label="Valid for" options={DAYS} name="days" setValueAs={Number} />
            <RootFault errors={e} />
            <Button type="submit" look="main" disabled={formState.isSubmitting} className="self-start">
              Create key
            </Button>
          </form>
        )}
      </Unfold>
    </Panel>
  );
}
