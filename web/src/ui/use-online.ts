import { onlineManager } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';

/** Returns whether the device is online, as far as it knows. */
export const useOnline = (): boolean =>
  useSyncExternalStore(
    (notify) => onlineManager.subscribe(notify),
    () => onlineManager.isOnline(),
  );
