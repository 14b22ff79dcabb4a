import { useSyncExternalStore } from 'react';

/** Whether a media query holds, followed as the window and what points at it change. */
export const useMedia = (query: string): boolean =>
  useSyncExternalStore(
    (tell) => {
      const media = matchMedia(query);
      media.addEventListener('change', tell);
      return () => media.removeEventListener('change', tell);
    },
    () => matchMedia(query).matches,
  );
