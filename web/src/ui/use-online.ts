import { onlineManager } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';

/** Is there signal, as far as the device knows? */
export const useOnline = (): boolean =>
  useSyncExternalStore(
    (notify) => onlineManager.subscribe(notify),
    () => onlineManager.isOnline(),
  );
