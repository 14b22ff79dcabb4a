import { json, type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import { HttpException } from '@nestjs/common';
import { badRequest } from '../shared/http-errors.js';
import { shapeFaults } from '@candid-leaf/core/records';

/** Body limits in bytes: signed out, and signed in (the longest place or order of plants). */
const BODY_LIMIT = { anybody: '10kb', gardener: '200kb' } as const;

/** Routes anyone may write to. */
const PUBLIC_WRITES = /^\/api\/(accounts|session|password\/\w+|watering\/.*|messages\/.*)\/?$/i;

const small = json({ limit: BODY_LIMIT.anybody, strict: false });
const large = json({ limit: BODY_LIMIT.gardener, strict: false });

/** Reads the body, up to the caller's limit; a body with the wrong shape goes no further. */
export const readBody: RequestHandler = (request: Request, response: Response, next: NextFunction) => {
  // a key may send what a person may; one that is not valid is refused by the guard
  const known = request.session.accountId ?? /^Bearer +\S/i.test(request.get('authorization') ?? '');
  const read = known && !PUBLIC_WRITES.test(request.baseUrl + request.path) ? large : small;
  read(request, response, (error?: unknown) => {
    if (error) return next(unread(error));
    if (request.body === undefined) return next();
    const faults = shapeFaults(request.body);
    next(faults.length > 0 ? badRequest(faults) : undefined);
  });
};

/** Messages for unreadable bodies. */
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
