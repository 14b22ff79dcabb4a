import type { LoggerService } from '@nestjs/common';
import type { RequestHandler } from 'express';
import { pino } from 'pino';
import { pinoHttp } from 'pino-http';

interface Log extends LoggerService {
  /** one line per request, at the chosen levels */
  requests: RequestHandler;
}

/**
 * The log: one JSON line each, to standard output. A full disk loses lines but stops nothing. Requests are logged by
 * method, path and status: no bodies, no cookies; failures only by type and place.
 */
export function openLog(level = 'warn'): Log {
  const out = pino.destination({ fd: 1, sync: true });
  // a line that could not be written is lost; the next is tried again
  out.on('error', () => undefined);
  process.stdout.on('error', () => undefined);
  process.stderr.on('error', () => undefined);
  const log = pino({ level, base: undefined, serializers: { err: kindOnly } }, out);
  const requests = pinoHttp({
    logger: log,
    serializers: {
      req: ({ method, url }: { method: string; url: string }) => ({ method, path: withoutSecrets(url.split('?')[0]!) }),
      res: ({ statusCode }: { statusCode: number }) => ({ status: statusCode }),
      err: kindOnly,
    },
    // health checks come every few moments
    autoLogging: { ignore: (request) => /^\/api\/(health|ready)\b/.test(request.url ?? '') },
    customLogLevel: (_request, response, error) => (error || response.statusCode >= 500 ? 'warn' : 'info'),
  });
  const say =
    (at: 'info' | 'warn' | 'error' | 'debug') =>
    (message: unknown, ...where: unknown[]): void =>
      log[at]({ where: where.filter((w) => typeof w === 'string').at(-1) }, String(message));
  return {
    requests,
    log: say('info'),
    warn: say('warn'),
    error: say('error'),
    debug: say('debug'),
    fatal: say('error'),
  };
}

const kindOnly = (error: Error & { code?: unknown }): object => ({ kind: error.name, code: error.code });

/** Removes secrets from addresses before logging. */
export const withoutSecrets = (path: string): string =>
  path.replace(/^(\/api\/(?:calendars|invitations|watering|stations|messages\/(?:link|off|done))\/)[^/]+/, '$1…');
