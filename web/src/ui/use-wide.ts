import { useSyncExternalStore } from 'react';

/** Where two columns stand side by side: what is long may stand open. */
const WIDE = '(min-width: 64rem)';

const follow = (tell: () => void): (() => void) => {
  const query = matchMedia(WIDE);
  query.addEventListener('change', tell);
  return () => query.removeEventListener('change', tell);
};

export const useWide = (): boolean => useSyncExternalStore(follow, () => matchMedia(WIDE).matches);
