import type { Fault } from '@candid-leaf/core/records';

/** An error answer of the server, with its reasons. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly faults: readonly Fault[],
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

/** A change that needs the server. */
export class NeedsSignal extends Error {
  constructor() {
    super('You’re offline. This can only be changed online, but you can still add observations and records.');
    this.name = 'NeedsSignal';
  }
}

/** Sends JSON, or a file as it is, and reads the answer. */
export async function api<T>(method: string, path: string, body?: unknown): Promise<T> {
  const answer = await fetch(`/api${path}`, {
    method,
    ...(body === undefined ? {} : body instanceof Blob ? { body } : asJson(body)),
  });
  const text = await answer.text();
  const json = parsed(text);
  if (answer.ok) return json as T;
  const { message, faults } = (json ?? {}) as { message?: string; faults?: Fault[] };
  throw new ApiError(answer.status, message ?? `The server answered ${answer.status}.`, faults ?? []);
}

const asJson = (body: unknown): RequestInit => ({
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
});

/** A proxy's answer or an error page is not JSON; its status is enough. */
function parsed(text: string): unknown {
  try {
    return text ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}
