import type { NestExpressApplication } from '@nestjs/platform-express';
import MySQLStoreFactory from 'express-mysql-session';
import session from 'express-session';
import helmet from 'helmet';
import mysql from 'mysql2/promise';
import type { Config } from '../config.js';

const THIRTY_DAYS_MS = 30 * 24 * 3600 * 1000;

/** What stands before every route: headers, size limit, session. Returns what must be closed at the end. */
export function installMiddleware(app: NestExpressApplication, config: Config): { close: () => Promise<void> } {
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          imgSrc: ["'self'", 'data:'],
          styleSrc: ["'self'", "'unsafe-inline'"],
          upgradeInsecureRequests: null,
        },
      },
    }),
  );
  app.useBodyParser('json', { limit: '2mb' });
  const pool = mysql.createPool({ uri: config.databaseUrl, connectionLimit: 3 });
  const MySQLStore = MySQLStoreFactory(session as never);
  const store = new MySQLStore(
    { createDatabaseTable: false, schema: { tableName: 'session' }, clearExpired: true },
    pool as never,
  );
  app.use(
    session({
      name: 'candid-leaf',
      secret: config.sessionSecret,
      store: store as unknown as session.Store,
      resave: false,
      saveUninitialized: false,
      rolling: true,
      cookie: { httpOnly: true, sameSite: 'lax', secure: config.secureCookies, maxAge: THIRTY_DAYS_MS },
    }),
  );
  return {
    close: async () => {
      await store.close();
      await pool.end().catch(() => undefined); // the store may have ended the pool it was given
    },
  };
}
