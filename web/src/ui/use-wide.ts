import { useMedia } from './use-media';

/** Returns whether two columns fit. */
export const useWide = (): boolean => useMedia('(min-width: 64rem)');
