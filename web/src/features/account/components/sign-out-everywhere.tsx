import { useState } from 'react';
import { LogOut } from 'lucide-react';
import { api } from '../../../lib/api';
import { ROUTES } from '../../../lib/paths';
import { clearDevice } from '../../../offline/leave-device';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';

/** Sign out on all devices, after losing a phone or leaving a browser open. */
export function SignOutEverywhere() {
  const say = useSay();
  const [busy, setBusy] = useState(false);
  const signOut = async (): Promise<void> => {
    setBusy(true);
    try {
      await api('DELETE', '/sessions');
    } catch (error) {
      setBusy(false);
      return say((error as Error).message, { bad: true });
    }
    await clearDevice();
    location.assign(ROUTES.signIn);
  };
  return (
    <Panel title="Every device">
      <p className="mt-1 text-soft">
        Lost a phone or left a browser open? Sign out everywhere, including here. This also ends your keys for scripts.
      </p>
      <Button className="mt-3" disabled={busy} onClick={() => void signOut()}>
        <LogOut aria-hidden size={17} /> Sign out everywhere
      </Button>
    </Panel>
  );
}
