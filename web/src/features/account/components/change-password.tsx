import { PasswordChange } from '@candid-leaf/contract';
import { useForm } from 'react-hook-form';
import { api } from '../../../lib/api';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';

export function ChangePassword() {
  const say = useSay();
  const { register, handleSubmit, setError, reset, formState } = useForm<PasswordChange>({
    resolver: resolverFor(PasswordChange),
    defaultValues: { old: '', password: '' },
  });
  const submit = handleSubmit(async (body) => {
    try {
      await api('PUT', '/account/password', body);
      reset();
      say('Password changed. Other devices are signed out.');
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <Panel title="Password">
      <p className="mt-1 text-soft">A new password signs out every other device and ends your keys for scripts.</p>
      <form noValidate onSubmit={(e) => void submit(e)} className="mt-3 flex flex-col gap-4">
        <TextField
          label="Current password"
          type="password"
          autoComplete="current-password"
          error={formState.errors.old?.message}
          {...register('old')}
        />
        <TextField
          label="New password"
          type="password"
          autoComplete="new-password"
          hint="10 characters or more"
          error={formState.errors.password?.message}
          {...register('password')}
        />
        <RootFault errors={formState.errors} />
        <Button type="submit" disabled={formState.isSubmitting} className="self-start">
          Change password
        </Button>
      </form>
    </Panel>
  );
}
