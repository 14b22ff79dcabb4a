import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import type { RequestHandler } from 'express';
import helmet from 'helmet';
import type { Config } from '../config.js';
import { callers } from '../shared/caller.js';
import { oldPaths } from './old-paths.js';
import { readBody } from './body.js';
import { onlyFor } from './host.js';
import { deadline } from './deadline.js';
import { refuseForeignWrites } from './origin.js';
import { thePage } from './page.js';
import { sessions } from './session.js';

const neverKept: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
};

/** The last before the routes: whatever runs for a request can ask for whom. */
const knownCaller: RequestHandler = (_request, _response, next) => callers.run({ accountId: null }, next);

/**
 * Installs everything before the routes, in order: headers, origin, session, body. Static files pass only the first.
 * Returns what to close at the end.
 */
export function installGate(app: NestExpressApplication, config: Config): { close: () => Promise<void> } {
  app.set('trust proxy', config.trustProxy);
  app.disable('etag');
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          styleSrc: ["'self'", "'unsafe-inline'"],
          upgradeInsecureRequests: null,
        },
      },
    }),
    compression(),
  );
  app.use(onlyFor(config.publicUrl));
  if (config.webRoot) app.use(thePage(config.webRoot));
  const { handler, close } = sessions(config);
  // health answers without the database, so it has no session
  const unlessHealth =
    (work: RequestHandler): RequestHandler =>
    (request, response, next) =>
      /^\/(health|ready)\/?$/i.test(request.path) ? next() : void work(request, response, next);
  app.use(
    '/api',
    oldPaths,
    neverKept,
    refuseForeignWrites,
    deadline,
    unlessHealth(handler),
    unlessHealth(readBody),
    knownCaller,
  );
  return { close };
}
