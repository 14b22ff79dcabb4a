import { PasswordForgotten, SignIn, SignUp, type Me } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ComponentProps } from 'react';
import { useForm } from 'react-hook-form';
import { api, ApiError } from '../lib/api';
import { enterDevice, finishLeaving } from '../offline/leave-device';
import { Button } from '../ui/button';
import { TextField } from '../ui/field';
import { RootFault } from '../ui/form-card';
import { applyFaults, resolverFor } from '../ui/form-faults';
import { entryQuery } from '../data/account';
import { PasswordField } from '../ui/password-field';

interface Props {
  /** page to open afterwards */
  to: string;
  /** secret of an invitation, if registration is by invitation only */
  invitation?: string;
  /** opens with the form for a new account, with the cursor in it */
  fresh?: boolean;
}

/** Sign-in sign-up form (sign-up only if registration is on). */
export function EntryCard({ to, invitation, fresh = false }: Props) {
  const { data: entry } = useQuery(entryQuery());
  const [at, setAt] = useState<'in' | 'new' | 'forgotten'>(invitation || fresh ? 'new' : 'in');
  const open = (entry?.registration ?? true) || invitation !== undefined;
  return (
    <>
      <h2 className="mb-4 text-xl">{TITLES[at]}</h2>
      {at === 'in' && <SignInForm to={to} />}
      {at === 'new' && <SignUpForm to={to} fresh={fresh} {...(invitation ? { invitation } : {})} />}
      {at === 'forgotten' && <ForgottenForm />}
      <div className="mt-2 flex flex-col">
        {at !== 'in' && (
          <Button look="quiet" onClick={() => setAt('in')}>
            I have an account
          </Button>
        )}
        {at === 'in' && open && (
          <Button look="quiet" onClick={() => setAt('new')}>
            Create account
          </Button>
        )}
        {at === 'in' && (
          // reserve its space while unknown, so nothing moves under a finger
          <Button look="quiet" className={entry?.mail ? '' : 'invisible'} onClick={() => setAt('forgotten')}>
            I forgot my password
          </Button>
        )}
        {!open && <p className="mt-2 text-soft">New accounts are by invitation only.</p>}
      </div>
    </>
  );
}
const TITLES = { in: 'Sign in', new: 'New account', forgotten: 'Reset password' };

function useEntry(to: string) {
  return async (path: string, body: unknown) => {
    await finishLeaving();
    const me = await api<Me>('POST', path, body);
    await enterDevice(me.id);
    // full reload: nothing of the previous user stays in the page
    location.assign(to);
  };
}

const EmailField = (props: Omit<ComponentProps<typeof TextField>, 'label'>) => (
  <TextField label="E-mail" type="email" autoComplete="username" {...props} />
);

function SignInForm({ to }: Props) {
  const enter = useEntry(to);
  const { register, handleSubmit, setError, formState } = useForm<SignIn>({ resolver: resolverFor(SignIn) });
  const submit = handleSubmit(async (body) => {
    try {
      await enter('/session', body);
    } catch (error) {
      setError('root', {
        message:
          error instanceof ApiError ? error.message : 'We can’t reach the server. Check your connection and try again.',
      });
    }
  });
  return (
    <form noValidate onSubmit={(e) => void submit(e)} className="flex flex-col gap-4">
      <EmailField error={formState.errors.email?.message} {...register('email')} />
      <PasswordField error={formState.errors.password?.message} {...register('password')} />
      <RootFault errors={formState.errors} />
      <Button type="submit" look="main" disabled={formState.isSubmitting}>
        Sign in
      </Button>
    </form>
  );
}

function SignUpForm({ to, invitation, fresh = false }: Props) {
  const enter = useEntry(to);
  const { register, handleSubmit, setError, setFocus, formState } = useForm<SignUp>({ resolver: resolverFor(SignUp) });
  useEffect(() => {
    if (fresh) setFocus('name');
  }, [fresh, setFocus]);
  const submit = handleSubmit(async (body) => {
    try {
      await enter('/accounts', { ...body, ...(invitation ? { invitation } : {}) });
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <form noValidate onSubmit={(e) => void submit(e)} className="flex flex-col gap-4">
      <TextField label="Your name" autoComplete="name" error={formState.errors.name?.message} {...register('name')} />
      <EmailField error={formState.errors.email?.message} {...register('email')} />
      <PasswordField fresh error={formState.errors.password?.message} {...register('password')} />
      <RootFault errors={formState.errors} />
      <Button type="submit" look="main" disabled={formState.isSubmitting}>
        Create account
      </Button>
    </form>
  );
}

/** Requests a reset link by mail. It does not reveal whether the account exists. */
function ForgottenForm() {
  const [sent, setSent] = useState(false);
  const { register, handleSubmit, setError, formState } = useForm<PasswordForgotten>({
    resolver: resolverFor(PasswordForgotten),
  });
  const submit = handleSubmit(async (body) => {
    try {
      await api('POST', '/password/forgotten', body);
      setSent(true);
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  if (sent)
    return (
      <p role="status">If there is an account with this e-mail, we’ve sent a link. It works once, within an hour.</p>
    );
  return (
    <form noValidate onSubmit={(e) => void submit(e)} className="flex flex-col gap-4">
      <EmailField error={formState.errors.email?.message} {...register('email')} />
      <RootFault errors={formState.errors} />
      <Button type="submit" look="main" disabled={formState.isSubmitting}>
        Send me a link
      </Button>
    </form>
  );
}
