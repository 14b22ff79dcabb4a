import type { NextFunction, Request, Response } from 'express';
import { unavailable } from '../shared/http-errors.js';

/** Longest wait for an answer, from when everything has arrived, ms. */
export const DEADLINE_MS = 15_000;
/** How often an upload is looked at, and the least that must have come in between: 1 kB a second. */
export const ARRIVAL = { everyMs: 20_000, leastBytes: 20_000 } as const;

/** Whole files take as long as they need; the sender sees the progress and can cancel. */
const TAKES_LONG = /^\/api\/gardens\/[\w-]+\/(imports|exports|file)\b/i;

const hasBody = (request: Request): boolean =>
  Number(request.headers['content-length'] ?? 0) > 0 || request.headers['transfer-encoding'] !== undefined;

/**
 * Answers after the deadline with "try again". The work may still finish: every write can be sent again. An upload is
 * measured by its progress: a slow line may take its time, a sender that stops is let go.
 */
export function deadline(request: Request, response: Response, next: NextFunction): void {
  const arriving = hasBody(request) && !request.complete;
  if (arriving) watchArrival(request, response);
  if (TAKES_LONG.test(request.originalUrl)) return next();
  let timer: NodeJS.Timeout | null = null;
  let over = false;
  const begin = (): void => {
    // refused before everything had come
    if (over) return;
    timer ??= setTimeout(() => {
      if (response.headersSent) return;
      const late = unavailable('This is taking too long right now. Try again in a moment; sending it twice is safe.');
      response.set('Retry-After', '5').status(late.getStatus()).json(late.getResponse());
    }, DEADLINE_MS);
  };
  if (arriving) request.once('end', begin);
  else begin();
  response.once('close', () => {
    over = true;
    if (timer) clearTimeout(timer);
  });
  next();
}

function watchArrival(request: Request, response: Response): void {
  let before = request.socket.bytesRead;
  const watch = setInterval(() => {
    if (request.complete || response.headersSent) return clearInterval(watch);
    const now = request.socket.bytesRead;
    if (now - before >= ARRIVAL.leastBytes) {
      before = now;
      return;
    }
    clearInterval(watch);
    response.set('Connection', 'close').status(408).json({
      statusCode: 408,
      message: 'The upload has stopped. Check the connection and send it again; sending it twice is safe.',
    });
    request.destroy();
  }, ARRIVAL.everyMs);
  response.once('close', () => clearInterval(watch));
}
