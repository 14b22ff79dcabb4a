import { createParamDecorator, SetMetadata, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';

declare module 'express-session' {
  interface SessionData {
    accountId: string;
  }
}

const PUBLIC = 'public';
/** A route that needs no session. Everything else does. */
export const Public = () => SetMetadata(PUBLIC, true);
export const PUBLIC_KEY = PUBLIC;

/** Id of the account that is signed in. The guard has made sure that there is one. */
export const AccountId = createParamDecorator(
  (_: unknown, context: ExecutionContext): string => context.switchToHttp().getRequest<Request>().session.accountId!,
);
