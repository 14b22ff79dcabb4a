import { join } from 'node:path';
import { Router, type RequestHandler } from 'express';
import packed from 'express-static-gzip';

const FOR_GOOD = 'public, max-age=31536000, immutable';

/** The files of a folder, in the smallest form that the build made of them and the browser reads. */
const files = (folder: string, keep: string): RequestHandler =>
  packed(folder, {
    enableBrotli: true,
    orderPreference: ['br'],
    index: false,
    serveStatic: { setHeaders: (r) => r.setHeader('Cache-Control', keep) },
  });

/**
 * The built page: its files, and the page itself for every address that is none of the API's. What stands in `assets` has its content in its
 * name and never changes; the rest is asked for again each time.
 */
export function thePage(folder: string): RequestHandler {
  const page = Router();
  page.use('/assets', files(join(folder, 'assets'), FOR_GOOD));
  page.use(files(folder, 'no-cache'));
  page.get('/{*path}', (request, response, next) => {
    if (/^\/(api|assets)(\/|$)/i.test(request.path)) return next();
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: folder, cacheControl: false });
  });
  return page;
}
