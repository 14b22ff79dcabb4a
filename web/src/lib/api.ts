import type { Fault } from '@candid-leaf/core/records';

/** An answer of the server that is not what was hoped for, with its reasons. */
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

/** Some things are changed with the server only. */
export class NeedsSignal extends Error {
  constructor() {
    super('You’re offline. This can only be changed online, but you can still add observations and records.');
    this.name = 'NeedsSignal';
  }
}

/** Sends JSON, or a file as it is, to the server and reads its answer. */
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

/** What a proxy in between says, or a page of errors, is no JSON; its status says enough. */
function parsed(text: string): unknown {
  try {
    return text ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}
