import { promisify } from 'node:util';
import type { Request } from 'express';

/** Starts a new session id at every sign-in, so an old one can't be passed on. */
export async function beginSession(request: Request, accountId: string, since: number): Promise<void> {
  await promisify(request.session.regenerate.bind(request.session))();
  request.session.accountId = accountId;
  request.session.since = since;
  // saved before answering: if the session can't be stored, the sign-in failed
  await promisify(request.session.save.bind(request.session))();
}

/** Ends the session of a request. */
export const endSession = (request: Request): Promise<void> =>
  promisify(request.session.destroy.bind(request.session))();
