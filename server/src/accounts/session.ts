import { createParamDecorator, SetMetadata, type ExecutionContext } from '@nestjs/common';
import type { Role } from '@candid-leaf/contract';
import type { Request } from 'express';

declare module 'express-session' {
  interface SessionData {
    accountId: string;
    /** the account's number of sessions when this one began */
    since: number;
  }
}

/** Who asks, as the guard found it. */
export interface Caller {
  accountId: string;
  /** the key that a script came with; null: a session */
  keyId: string | null;
}

declare module 'express' {
  interface Request {
    caller?: Caller;
  }
}

const PUBLIC = 'public';
/** A route that needs no session. Everything else does. */
export const Public = () => SetMetadata(PUBLIC, true);
export const PUBLIC_KEY = PUBLIC;

export const NEEDS_KEY = 'needs';
/** How far the role of whoever asks must reach in the garden of the path. Where nothing is said: reading needs `look`, all else `keep`. */
export const Needs = (role: Role) => SetMetadata(NEEDS_KEY, role);

export const SESSION_ONLY_KEY = 'session-only';
/** A route of a garden that is for people only: a key that is lost must not make further keys, or let somebody in. */
export const PeopleOnly = () => SetMetadata(SESSION_ONLY_KEY, true);

/** Id of the account that asks. The guard has made sure that there is one. */
export const AccountId = createParamDecorator(
  (_: unknown, context: ExecutionContext): string => context.switchToHttp().getRequest<Request>().caller!.accountId,
);
