import { PasswordOnly, type Me } from '@candid-leaf/contract';
import { useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { useForm } from 'react-hook-form';
import { api } from '../../../lib/api';
import { queryKeys } from '../../../lib/query-keys';
import { Button } from '../../../ui/button';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { PasswordField } from '../../../ui/password-field';

/** Account deletion: confirmed by password, reversible for two weeks. */
export function Leaving({ me }: { me: Me }) {
  const client = useQueryClient();
  const say = useSay();
  const { register, handleSubmit, setError, reset, formState } = useForm<PasswordOnly>({
    resolver: resolverFor(PasswordOnly),
    defaultValues: { password: '' },
  });
  const ask = handleSubmit(async (body) => {
    try {
      client.setQueryData(queryKeys.me, await api<Me>('POST', '/account/leaving', body));
      reset();
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  const stay = async (): Promise<void> => {
    try {
      client.setQueryData(queryKeys.me, await api<Me>('DELETE', '/account/leaving'));
      say('Your account will be kept.');
    } catch (error) {
      say((error as Error).message, { bad: true });
    }
  };
  if (me.leavingAt)
    return (
      <Panel title="This account will be deleted" asking>
        <p className="mt-1">
          It will be deleted on {format(parseISO(me.leavingAt), 'd MMMM yyyy')}, with every garden only you manage:
          plants, records and photos. You can keep it until then.
        </p>
        <Button look="main" className="mt-3" onClick={() => void stay()}>
          Keep my account
        </Button>
      </Panel>
    );
  return (
    <Panel title="Delete account">
      <p className="mt-1 text-soft">
        It will be deleted in two weeks, with every garden only you manage. Your records in other people’s gardens stay,
        without your name.
      </p>
      <form noValidate onSubmit={(e) => void ask(e)} className="mt-3 flex flex-col gap-4">
        <PasswordField label="Your password" error={formState.errors.password?.message} {...register('password')} />
        <RootFault errors={formState.errors} />
        <Button type="submit" look="urgent" disabled={formState.isSubmitting} className="self-start">
          Delete it in two weeks
        </Button>
      </form>
    </Panel>
  );
}
