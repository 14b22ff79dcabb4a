import { promisify } from 'node:util';
import type { Request } from 'express';

/** A fresh session id at every sign-in, so that an old one cannot be handed on. */
export async function beginSession(request: Request, accountId: string, since: number): Promise<void> {
  await promisify(request.session.regenerate.bind(request.session))();
  request.session.accountId = accountId;
  request.session.since = since;
  // kept before it is answered: a session that could not be kept is a sign-in that failed
  await promisify(request.session.save.bind(request.session))();
}

export const endSession = (request: Request): Promise<void> =>
  promisify(request.session.destroy.bind(request.session))();
