import { InvitationInput, type NewLink } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { Trash2, UserPlus } from 'lucide-react';
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
import { peopleQuery } from '../../../data/people';
import { ROLE_OPTIONS, ROLE_WORDS } from '../role-words';
import { inviteSomebody, takeInvitationBack } from '../../../data/people';

/** Invites someone by a link that works once, and lists open invitations. */
export function Invite() {
  const garden = useGarden();
  const open = useQuery(peopleQuery(garden.id)).data?.invitations ?? [];
  const invite = useWrite(inviteSomebody, garden.id);
  const back = useWrite(takeInvitationBack, garden.id);
  const [made, setMade] = useState<(NewLink & { name: string }) | null>(null);
  const { register, control, handleSubmit, setError, reset, formState } = useForm<InvitationInput>({
    resolver: resolverFor(InvitationInput),
    defaultValues: { id: uuid(), name: '', role: 'record' },
  });
  const submit = handleSubmit(async (input) => {
    try {
      setMade({ ...(await invite.send({ ...input })), name: input.name });
      reset({ id: uuid(), name: '', role: 'record' });
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <Panel title="Invite someone">
      <p className="mt-1 text-soft">You get a link to pass on. It works once, within a week.</p>
      <form noValidate onSubmit={(e) => void submit(e)} className="mt-3 flex flex-col gap-3">
        <TextField label="Their name" error={formState.errors.name?.message} {...register('name')} />
        <FormSelect control={control} label="Access" options={ROLE_OPTIONS} name="role" />
        <RootFault errors={formState.errors} />
        <Button type="submit" look="main" disabled={formState.isSubmitting} className="self-start">
          <UserPlus aria-hidden size={17} /> Create link
        </Button>
      </form>
      {made && (
        <ShownOnce
          label={`The link for ${made.name}, shown only once`}
          hint="The first person to open it gets access."
          value={`${location.origin}${made.path}`}
          copied="Link copied."
        />
      )}
      {open.length > 0 && (
        <>
          <h3 className="mt-4 font-semibold">Open invitations</h3>
          <ul className="divide-y divide-line">
            {open.map((i) => (
              <li key={i.id} className="flex items-center justify-between gap-2 py-1">
                <span>
                  {i.name}, {ROLE_WORDS[i.role].name.toLowerCase()}, until {format(parseISO(i.expiresAt), 'd MMMM')}
                </span>
                <Button
                  look="quiet"
                  aria-label={`Cancel the invitation of ${i.name}`}
                  onClick={() => {
                    if (made?.id === i.id) setMade(null);
                    back.mutate({ id: i.id }, { said: 'The link no longer works.' });
                  }}
                >
                  <Trash2 aria-hidden size={17} />
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </Panel>
  );
}
