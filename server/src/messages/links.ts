import { createHash, createHmac, timingSafeEqual } from 'node:crypto';
import { notFound } from '../shared/http-errors.js';

/** What a link may do without signing in: tick one task, or turn a garden's messages off. */
export interface MessageLink {
  accountId: string;
  gardenId: string;
  /** key and title of the task; null: it turns messages off */
  task: { key: string; title: string } | null;
  /** ms since 1970 */
  expires: number;
}

type Packed = [accountId: string, gardenId: string, expires: number, key?: string, title?: string];

const sign = (secret: string, text: string): Buffer =>
  createHmac('sha256', `message links ${secret}`).update(text).digest();

/** Returns the token of a link, signed with the server's secret: nothing is stored. */
export function tokenFor(secret: string, { accountId, gardenId, task, expires }: MessageLink): string {
  const packed: Packed = [accountId, gardenId, expires, ...(task ? [task.key, task.title] : [])] as Packed;
  const text = Buffer.from(JSON.stringify(packed)).toString('base64url');
  return `${text}.${sign(secret, text).toString('base64url')}`;
}

/**
 * Reads a token.
 * @throws 404 if it was not made here, was changed, or has expired
 */
export function linkBehind(secret: string, token: string, now: Date): MessageLink {
  const [text = '', signature = ''] = token.split('.');
  const [own, given] = [sign(secret, text), Buffer.from(signature, 'base64url')];
  if (own.length !== given.length || !timingSafeEqual(own, given)) throw notFound('link');
  const [accountId, gardenId, expires, key, title] = JSON.parse(Buffer.from(text, 'base64url').toString()) as Packed;
  if (expires < now.getTime()) throw notFound('link');
  return { accountId, gardenId, expires, task: key === undefined ? null : { key, title: title ?? key } };
}

/** Returns the id of the record that a tick by this link writes: the same however often it is opened. */
export function recordIdOf(token: string): string {
  const hex = createHash('sha256').update(token).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
