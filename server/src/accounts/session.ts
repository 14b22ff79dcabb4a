import { createParamDecorator, SetMetadata, type ExecutionContext } from '@nestjs/common';
import type { Role } from '@candid-leaf/contract';
import type { Request } from 'express';

declare module 'express-session' {
  interface SessionData {
    accountId: string;
    /** the account's session number when this one began */
    since: number;
  }
}

/** The caller, as the guard found them. */
export interface Caller {
  accountId: string;
  /** the key a script used; null: a session */
  keyId: string | null;
}

declare module 'express' {
  interface Request {
    caller?: Caller;
  }
}

const PUBLIC = 'public';
/** Marks a route that needs no session. All others do. */
export const Public = () => SetMetadata(PUBLIC, true);
/** Metadata key of a route anyone may call. */
export const PUBLIC_KEY = PUBLIC;

/** Metadata key of the role a route needs. */
export const NEEDS_KEY = 'needs';
/** Sets the role needed in the garden of the path. By default reading needs `look`, everything else `keep`. */
export const Needs = (role: Role) => SetMetadata(NEEDS_KEY, role);

/** Metadata key of a route that shows the demo garden to anyone. */
export const OPEN_IN_DEMO_KEY = 'open-in-demo';
/** Marks a reading route that anyone may call for the demo garden, without an account. */
export const OpenInDemo = () => SetMetadata(OPEN_IN_DEMO_KEY, true);

/** Metadata key of a route that access keys may not call. */
export const SESSION_ONLY_KEY = 'session-only';
/** Marks a garden route for people only: a lost key must not create keys or invite anyone. */
export const PeopleOnly = () => SetMetadata(SESSION_ONLY_KEY, true);

/** Returns the id of the calling account; the guard has made sure there is one. */
export const AccountId = createParamDecorator(
  (_: unknown, context: ExecutionContext): string => context.switchToHttp().getRequest<Request>().caller!.accountId,
);
