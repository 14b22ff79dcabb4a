import { PasswordChange } from '@candid-leaf/contract';
import { useForm } from 'react-hook-form';
import { api } from '../../../lib/api';
import { Button } from '../../../ui/button';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { PasswordField } from '../../../ui/password-field';

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
        <PasswordField label="Current password" error={formState.errors.old?.message} {...register('old')} />
        <PasswordField
          label="New password"
          fresh
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
