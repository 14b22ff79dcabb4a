import type { RequestHandler } from 'express';

const MISDIRECTED = 421;
/** This machine itself: its own checks and scripts. */
const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])(:\d+)?$/i;

/**
 * Refuses requests for another host than the public one: a page of a stranger whose name was made to point here is not
 * ours. Without a public address any host is taken.
 */
export const onlyFor = (publicUrl: string | null): RequestHandler => {
  const ours = publicUrl === null ? null : new URL(publicUrl).host.toLowerCase();
  // an address of this machine is what the starter assumes; a proxy may be in front of it
  if (ours === null || LOOPBACK.test(ours)) return (_request, _response, next) => next();
  return (request, response, next) => {
    // behind a trusted proxy, `host` is what the browser asked for
    const host = request.host.toLowerCase();
    if (host === ours || LOOPBACK.test(host)) return next();
    response.status(MISDIRECTED).json({
      statusCode: MISDIRECTED,
      message: `This is ${publicUrl}: open it by that address.`,
    });
  };
};
