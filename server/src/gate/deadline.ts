import type { NextFunction, Request, Response } from 'express';
import { unavailable } from '../shared/http-errors.js';

/** The longest that anybody waits for an answer. */
export const DEADLINE_MS = 15_000;

/** Whole files come and go as fast as they can be carried; whoever sent them sees how far they are, and can break off. */
const TAKES_LONG = /^\/api\/gardens\/[\w-]+\/(imports|exports|file)\b/i;

/**
 * Whoever waits longer is told to come back. What was begun may still be done: every write can be sent again.
 */
export function deadline(request: Request, response: Response, next: NextFunction): void {
  if (TAKES_LONG.test(request.originalUrl)) return next();
  const timer = setTimeout(() => {
    if (response.headersSent) return;
    const late = unavailable('This is taking too long right now. Try again in a moment; sending it twice is safe.');
    response.set('Retry-After', '5').status(late.getStatus()).json(late.getResponse());
  }, DEADLINE_MS);
  response.once('close', () => clearTimeout(timer));
  next();
}
