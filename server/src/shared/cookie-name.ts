import type { Config } from '../config.js';

/** `__Host-` holds a browser to it: only over https, from this host alone, for all of its paths. */
export const cookieName = (config: Pick<Config, 'secureCookies'>, name: string): string =>
  config.secureCookies ? `__Host-${name}` : name;
