import { setTimeout as wait } from 'node:timers/promises';
import type { IncomingMessage, ServerResponse } from 'node:http';

/** Ways in which a service outside fails. */
export const FAULTS = [
  'slow',
  '500',
  '429',
  'truncated',
  'no-units',
  'gaps',
  'wrong-clock',
  'repeats',
  'impossible',
] as const;
/** A way in which a service outside fails. */
export type FaultKind = (typeof FAULTS)[number];

/** How long a slow answer takes, ms: longer than anyone waits. */
const SLOW_MS = 30_000;

/** The fault of a stand-in, switched on and off: `POST /fault?is=slow`, `POST /fault`. */
export class Faults {
  is: FaultKind | null = null;
  private readonly ending = new AbortController();

  /** Takes a request that switches faults. */
  switched(request: IncomingMessage, url: URL, response: ServerResponse): boolean {
    if (request.method !== 'POST' || url.pathname !== '/fault') return false;
    this.is = (url.searchParams.get('is') as FaultKind | null) ?? null;
    response.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify({ is: this.is }));
    return true;
  }

  /** Sends an answer, or what the fault makes of it. */
  async send(response: ServerResponse, body: unknown, headers: Record<string, string> = {}): Promise<void> {
    const text = JSON.stringify(body);
    const type = { 'content-type': 'application/json', ...headers };
    switch (this.is) {
      case 'slow':
        await wait(SLOW_MS, undefined, { signal: this.ending.signal, ref: false }).catch(() => undefined);
        response.destroy();
        return;
      case '500':
        return void response.writeHead(500, type).end('{"reason":"out of order"}');
      case '429':
        return void response.writeHead(429, { ...type, 'retry-after': '3600' }).end('{"reason":"too many requests"}');
      case 'truncated':
        return void response.writeHead(200, type).end(text.slice(0, text.length / 2));
      default:
        return void response.writeHead(200, type).end(text);
    }
  }

  /** Ends what is still slow. */
  end(): void {
    this.ending.abort();
  }
}
