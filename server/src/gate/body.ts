import { json, type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import { HttpException } from '@nestjs/common';
import { badRequest } from '../shared/http-errors.js';
import { shapeFaults } from '@candid-leaf/core/records';

/** Bytes of a body: of somebody who is not signed in, and of a gardener's longest place or order of plants. */
export const BODY_LIMIT = { anybody: '10kb', gardener: '200kb' } as const;

/** Where anybody may write. */
const PUBLIC_WRITES = /^\/api\/(accounts|session|password\/\w+|watering\/.*)\/?$/i;

const small = json({ limit: BODY_LIMIT.anybody, strict: false });
const large = json({ limit: BODY_LIMIT.gardener, strict: false });

/** Reads the body, no more of it than whoever sends it may; what has the wrong shape goes no further. */
export const readBody: RequestHandler = (request: Request, response: Response, next: NextFunction) => {
  const read = request.session.accountId && !PUBLIC_WRITES.test(request.baseUrl + request.path) ? large : small;
  read(request, response, (error?: unknown) => {
    if (error) return next(unread(error));
    if (request.body === undefined) return next();
    const faults = shapeFaults(request.body);
    next(faults.length > 0 ? badRequest(faults) : undefined);
  });
};

/** What the reader of a body says when it gives up, in a gardener's words. */
const UNREAD: Record<string, string> = {
  'entity.too.large': 'This is too long to save.',
  'entity.parse.failed': 'This is not valid JSON.',
  'encoding.unsupported': 'This compression is not supported.',
  'charset.unsupported': 'This text encoding is not supported: use UTF-8.',
};

function unread(error: unknown): unknown {
  const { type = '', status = 400 } = error as { type?: string; status?: number };
  return status < 500 ? new HttpException({ message: UNREAD[type] ?? 'This could not be read.' }, status) : error;
}
