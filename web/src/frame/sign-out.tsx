import { LogOut } from 'lucide-react';
import { AlertDialog } from 'radix-ui';
import { useState } from 'react';
import { ROUTES } from '../lib/paths';
import { leaveDevice } from '../offline/leave-device';
import type { Waiting } from '../offline/store';
import { Button } from '../ui/button';

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
      <AlertDialog.Root open={asking} onOpenChange={setAsking}>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="fixed inset-0 z-30 bg-ink/45" />
          <AlertDialog.Content className="fixed inset-x-3 top-1/3 z-40 mx-auto max-w-md rounded-2xl border border-line bg-card p-5 shadow-2xl">
            <AlertDialog.Title className="text-xl">
              {list.length === 1 ? 'One change is waiting' : `${list.length} changes are waiting`} to sync
            </AlertDialog.Title>
            <AlertDialog.Description className="mt-2">
              They stay on this device and sync when you sign in here again. Nobody else sees them.
            </AlertDialog.Description>
            <div className="mt-4 flex flex-wrap justify-end gap-2">
              <AlertDialog.Cancel asChild>
                <Button look="main">Cancel</Button>
              </AlertDialog.Cancel>
              <AlertDialog.Action asChild>
                <Button onClick={() => void signOut()}>Sign out anyway</Button>
              </AlertDialog.Action>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
    </>
  );
}
