import { AlertDialog } from 'radix-ui';
import { Button } from '../ui/button';

interface Props {
  /** changes that are not synced */
  waiting: number;
  onCancel: () => void;
  onLeave: () => void;
}

/** Asks before signing out while changes wait to sync. */
export function SignOutWarning({ waiting, onCancel, onLeave }: Props) {
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && onCancel()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-30 bg-ink/45" />
        <AlertDialog.Content className="fixed inset-x-3 top-1/3 z-40 mx-auto max-w-md rounded-2xl border border-line bg-card p-5 shadow-2xl">
          <AlertDialog.Title className="text-xl">
            {waiting === 1 ? 'One change is waiting' : `${waiting} changes are waiting`} to sync
          </AlertDialog.Title>
          <AlertDialog.Description className="mt-2">
            They stay on this device and sync when you sign in here again. Nobody else sees them.
          </AlertDialog.Description>
          <div className="mt-4 flex flex-wrap justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <Button look="main">Cancel</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button onClick={onLeave}>Sign out anyway</Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
