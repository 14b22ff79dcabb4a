import { useEffect, useState } from 'react';
import { onOutbox, waiting } from './outbox';
import type { Waiting } from './store';

/** Writes waiting on this device, oldest first. */
export function useOutbox(): readonly Waiting[] {
  const [list, setList] = useState<readonly Waiting[]>([]);
  useEffect(() => {
    let here = true;
    const read = (): void => void waiting().then((now) => here && setList(now));
    read();
    const stop = onOutbox(read);
    return () => {
      here = false;
      stop();
    };
  }, []);
  return list;
}
