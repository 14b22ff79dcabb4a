import type { Config } from '../config.js';

/** `__Host-` binds a cookie to https, this host and all its paths. */
export const cookieName = (config: Pick<Config, 'secureCookies'>, name: string): string =>
  config.secureCookies ? `__Host-${name}` : name;
