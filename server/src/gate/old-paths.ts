import type { NextFunction, Request, Response } from 'express';

/** Addresses before 0.14, which devices that were offline still use, with those that replaced them. */
const MOVED: readonly (readonly [from: RegExp, to: string])[] = [
  [/^(\/gardens\/[^/?]+)\/kinds(?=[/?]|$)/, '$1/varieties'],
];

/** Leads requests to an address of the version before to today's. */
export function oldPaths(request: Request, _response: Response, next: NextFunction): void {
  for (const [from, to] of MOVED) request.url = request.url.replace(from, to);
  next();
}
