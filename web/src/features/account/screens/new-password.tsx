import { PasswordReset } from '@candid-leaf/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useLocation } from 'react-router';
import { api } from '../../../lib/api';
import { ROUTES } from '../../../lib/paths';
import { Button, buttonLook } from '../../../ui/button';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Panel } from '../../../ui/panel';
import { PasswordField } from '../../../ui/password-field';

/** Password reset page, opened by the link in a mail; works once. */
export function NewPassword() {
  const secret = useLocation().hash.slice(1);
  const [done, setDone] = useState(false);
  const { register, handleSubmit, setError, formState } = useForm<PasswordReset>({
    resolver: resolverFor(PasswordReset),
    defaultValues: { secret, password: '' },
  });
  const submit = handleSubmit(async (body) => {
    try {
      await api('POST', '/password/new', body);
      setDone(true);
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <main className="mx-auto max-w-md p-5">
      <h1 className="mb-4 text-3xl">A new password</h1>
      <Panel label="A new password">
        {done ? (
          <>
            <p role="status">Password changed. Other devices are signed out.</p>
            <Link className={`${buttonLook('main')} mt-3`} to={ROUTES.signIn}>
              Sign in
            </Link>
          </>
        ) : (
          <form noValidate onSubmit={(e) => void submit(e)} className="flex flex-col gap-4">
            <PasswordField fresh error={formState.errors.password?.message} {...register('password')} />
            {formState.errors.secret && (
              <p role="alert" className="text-ripe">
                The link {formState.errors.secret.message}
              </p>
            )}
            <RootFault errors={formState.errors} />
            <Button type="submit" look="main" disabled={formState.isSubmitting}>
              Save
            </Button>
          </form>
        )}
      </Panel>
    </main>
  );
}
