import { Matches } from 'class-validator';

/** Control characters and line ends: they end up in calendars, tables and mails, where they mean something else. */
const ONE_LINE = /^[^\p{Cc}\u2028\u2029]*$/u;

/** Refuses text of more than one line, or with characters that control a program. */
export const OneLine = (): PropertyDecorator =>
  Matches(ONE_LINE, { message: 'must be on one line, without control characters' });
