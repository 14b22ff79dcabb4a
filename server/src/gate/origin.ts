import { ForbiddenException } from '@nestjs/common';
import type { NextFunction, Request, RequestHandler, Response } from 'express';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
const OURS = new Set(['same-origin', 'none']);

/**
 * Refuses writes from foreign pages. A browser states a request's origin and no page can change it; a program without
 * these headers has no gardener's cookie that it did not get itself.
 */
export const refuseForeignWrites: RequestHandler = (request: Request, _response: Response, next: NextFunction) => {
  next(
    READS.has(request.method) || isOurs(request)
      ? undefined
      : new ForbiddenException('This request came from another page.'),
  );
};

function isOurs(request: Request): boolean {
  const site = request.get('sec-fetch-site');
  if (site !== undefined) return OURS.has(site);
  const origin = request.get('origin');
  if (origin === undefined) return true;
  // behind a trusted proxy, `host` and `protocol` are what the browser sees
  return origin === `${request.protocol}://${request.host}`;
}
