import { LogOut } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { ROUTES } from '../lib/paths';
import { leaveDevice } from '../offline/leave-device';
import type { Waiting } from '../offline/store';

// fetched when something is waiting
const SignOutWarning = lazy(async () => ({ default: (await import('./sign-out-warning')).SignOutWarning }));

/** Signs out, offline too, with a warning if changes are waiting. They stay on the device for this account. */
export function SignOut({ list, className, named }: { list: readonly Waiting[]; className: string; named?: boolean }) {
  const [asking, setAsking] = useState(false);
  const signOut = async (): Promise<void> => {
    await leaveDevice();
    // full reload: nothing of this account stays in the page
    location.assign(ROUTES.signIn);
  };
  return (
    <>
      <button type="button" onClick={() => (list.length > 0 ? setAsking(true) : void signOut())} className={className}>
        <LogOut aria-hidden size={18} /> <span className={named ? '' : 'sr-only'}>Sign out</span>
      </button>
      {asking && (
        <Suspense>
          <SignOutWarning waiting={list.length} onCancel={() => setAsking(false)} onLeave={() => void signOut()} />
        </Suspense>
      )}
    </>
  );
}
