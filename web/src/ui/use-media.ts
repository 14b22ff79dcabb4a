import { useSyncExternalStore } from 'react';

/** Returns whether a media query matches, updated on changes. */
export const useMedia = (query: string): boolean =>
  useSyncExternalStore(
    (tell) => {
      const media = matchMedia(query);
      media.addEventListener('change', tell);
      return () => media.removeEventListener('change', tell);
    },
    () => matchMedia(query).matches,
  );
