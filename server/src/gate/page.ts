import { join } from 'node:path';
import { Router, type RequestHandler } from 'express';
import packed from 'express-static-gzip';

const FOR_GOOD = 'public, max-age=31536000, immutable';

/** Serves the files of a folder in the smallest form the browser accepts. */
const files = (folder: string, keep: string): RequestHandler =>
  packed(folder, {
    enableBrotli: true,
    orderPreference: ['br'],
    index: false,
    serveStatic: { setHeaders: (r) => r.setHeader('Cache-Control', keep) },
  });

/**
 * Serves the built page: its files, and the page itself for every address outside the API. Files in `assets` have
 * their content hash in the name and never change; the rest is revalidated each time.
 */
export function thePage(folder: string): RequestHandler {
  const page = Router();
  page.use('/assets', files(join(folder, 'assets'), FOR_GOOD));
  page.use(files(folder, 'no-cache'));
  page.get('/{*path}', (request, response, next) => {
    if (/^\/(api|assets|weatherstation)(\/|$)/i.test(request.path)) return next();
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: folder, cacheControl: false });
  });
  return page;
}
