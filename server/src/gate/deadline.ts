import type { NextFunction, Request, Response } from 'express';
import { unavailable } from '../shared/http-errors.js';

/** Longest wait for an answer, ms. */
export const DEADLINE_MS = 15_000;

/** Whole files take as long as they need; the sender sees the progress and can cancel. */
const TAKES_LONG = /^\/api\/gardens\/[\w-]+\/(imports|exports|file)\b/i;

/** Answers after the deadline with "try again". The work may still finish: every write can be sent again. */
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
