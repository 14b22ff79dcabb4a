import MySQLStoreFactory from 'express-mysql-session';
import session from 'express-session';
import type { RequestHandler } from 'express';
import mysql from 'mysql2/promise';
import { CONNECT_MS, type Config } from '../config.js';
import { cookieName } from '../shared/cookie-name.js';

const THIRTY_DAYS_MS = 30 * 24 * 3600 * 1000;

/** Sessions, stored in the database. `Sweep` removes expired ones, not the store. */
export function sessions(config: Config): { handler: RequestHandler; close: () => Promise<void> } {
  const pool = mysql.createPool({ uri: config.databaseUrl, connectionLimit: 5, connectTimeout: CONNECT_MS });
  const MySQLStore = MySQLStoreFactory(session as never);
  const store = new MySQLStore(
    { createDatabaseTable: false, schema: { tableName: 'session' }, clearExpired: false },
    pool as never,
  );
  touchSeldom(store);
  const handler = session({
    name: cookieName(config, 'candid-leaf'),
    secret: config.sessionSecret,
    store: store as unknown as session.Store,
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: { httpOnly: true, sameSite: 'lax', path: '/', secure: config.secureCookies, maxAge: THIRTY_DAYS_MS },
  });
  return {
    handler,
    close: async () => {
      await store.close();
      await pool.end().catch(() => undefined); // the store may have ended the pool it was given
    },
  };
}

const HOUR_MS = 3600 * 1000;
const MOST_REMEMBERED = 10_000;

/** A used session lasts thirty more days. That is saved once an hour, not at every request. */
function touchSeldom(store: session.Store): void {
  const write = store.touch?.bind(store);
  if (!write) return;
  const written = new Map<string, number>();
  store.touch = (id, data, done) => {
    const now = Date.now();
    if (now - (written.get(id) ?? 0) < HOUR_MS) return done?.();
    if (written.size >= MOST_REMEMBERED) written.clear();
    written.set(id, now);
    write(id, data, done);
  };
}
