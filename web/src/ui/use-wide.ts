import { useMedia } from './use-media';

/** Where two columns stand side by side: what is long may stand open. */
export const useWide = (): boolean => useMedia('(min-width: 64rem)');
