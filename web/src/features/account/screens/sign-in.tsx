import { SignIn, SignUp, type Me } from '@candid-leaf/contract';
import { useState, type ComponentProps } from 'react';
import { useForm } from 'react-hook-form';
import { api, ApiError } from '../../../lib/api';
import { ROUTES } from '../../../lib/paths';
import { setAccountHere } from '../../../offline/account';
import { PlantDrawing } from '../../../signs/plant-drawing';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';

/** Sign in, or make an account. */
export function SignInScreen() {
  const [fresh, setFresh] = useState(false);
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl items-center gap-8 p-5 sm:grid-cols-[1fr_24rem]">
      <div>
        <h1 className="text-4xl">Candid Leaf</h1>
        <p className="mt-3 max-w-md text-lg text-soft">
          What ails a tomato or pepper plant, why it happened here, and what to do about it: told from what you saw and
          what you wrote down.
        </p>
        <div aria-hidden className="mt-6 flex max-w-md items-end gap-2 border-b-12 border-moist max-sm:hidden">
          <PlantDrawing
            plant={{ crop: 'tomato', habit: 'indeterminate', type: 'slicer', stage: 'ripening' }}
            className="-mb-8 h-64"
          />
          <PlantDrawing plant={{ crop: 'pepper', type: 'sweet', stage: 'fruiting' }} className="-mb-6 h-48" />
        </div>
      </div>
      <div className="rounded-2xl border border-line bg-card p-6">
        <h2 className="mb-4 text-2xl">{fresh ? 'A new account' : 'Sign in'}</h2>
        {fresh ? <SignUpForm /> : <SignInForm />}
        <Button look="quiet" className="mt-2 w-full" onClick={() => setFresh(!fresh)}>
          {fresh ? 'I have an account' : 'I am new here'}
        </Button>
      </div>
    </main>
  );
}

function useEntry() {
  return async (path: string, body: unknown) => {
    const me = await api<Me>('POST', path, body);
    setAccountHere(me.id);
    // begun anew: nothing of whoever was here before is left in the page
    location.assign(ROUTES.home);
  };
}

const EmailField = (props: Omit<ComponentProps<typeof TextField>, 'label'>) => (
  <TextField label="E-mail" type="email" autoComplete="username" {...props} />
);

function SignInForm() {
  const enter = useEntry();
  const { register, handleSubmit, setError, formState } = useForm<SignIn>({ resolver: resolverFor(SignIn) });
  const submit = handleSubmit(async (body) => {
    try {
      await enter('/session', body);
    } catch (error) {
      setError('root', { message: error instanceof ApiError ? error.message : 'The server cannot be reached.' });
    }
  });
  return (
    <form noValidate onSubmit={(e) => void submit(e)} className="flex flex-col gap-4">
      <EmailField error={formState.errors.email?.message} {...register('email')} />
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        error={formState.errors.password?.message}
        {...register('password')}
      />
      <RootFault errors={formState.errors} />
      <Button type="submit" look="main" disabled={formState.isSubmitting}>
        Sign in
      </Button>
    </form>
  );
}

function SignUpForm() {
  const enter = useEntry();
  const { register, handleSubmit, setError, formState } = useForm<SignUp>({ resolver: resolverFor(SignUp) });
  const submit = handleSubmit(async (body) => {
    try {
      await enter('/accounts', body);
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <form noValidate onSubmit={(e) => void submit(e)} className="flex flex-col gap-4">
      <TextField label="Your name" autoComplete="name" error={formState.errors.name?.message} {...register('name')} />
      <EmailField error={formState.errors.email?.message} {...register('email')} />
      <TextField
        label="Password"
        type="password"
        autoComplete="new-password"
        hint="10 characters or more"
        error={formState.errors.password?.message}
        {...register('password')}
      />
      <RootFault errors={formState.errors} />
      <Button type="submit" look="main" disabled={formState.isSubmitting}>
        Make the account
      </Button>
    </form>
  );
}
