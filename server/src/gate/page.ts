import { join } from 'node:path';
import { static as files, Router, type RequestHandler } from 'express';

const FOR_GOOD = 'public, max-age=31536000, immutable';

/**
 * The built page: its files, and the page itself for every address that is none of the API's. What stands in `assets` has its content in its
 * name and never changes; the rest is asked for again each time.
 */
export function thePage(folder: string): RequestHandler {
  const page = Router();
  page.use(
    '/assets',
    files(join(folder, 'assets'), { index: false, setHeaders: (r) => r.set('Cache-Control', FOR_GOOD) }),
  );
  page.use(files(folder, { index: false, setHeaders: (r) => r.set('Cache-Control', 'no-cache') }));
  page.get('/{*path}', (request, response, next) => {
    if (/^\/(api|assets)(\/|$)/i.test(request.path)) return next();
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: folder, cacheControl: false });
  });
  return page;
}
