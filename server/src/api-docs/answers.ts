import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);

/** Shapes of all answers by name, made from the controllers by `npm run api-answers`. Those of routes: `Answer_Gardens_list`. */
export const SHAPES = require('../../api-answers.json') as Readonly<Record<string, object>>;

/** An answer of each route as a made-up garden gave it, shortened. */
export const EXAMPLES = require('../../api-examples.json') as Readonly<Record<string, unknown>>;

/** Returns the shape of a route's answer, if that is JSON. */
export const shapeOf = (tag: string, method: string): object | undefined => SHAPES[`Answer_${tag}_${method}`];

/** Answers that are files or plain text. */
export const FILE_ANSWERS: Readonly<Record<string, string>> = {
  'Calendar.read': 'text/calendar',
  'Photos.picture': 'image/jpeg',
  'Photos.small': 'image/jpeg',
  'Transfer.table': 'text/csv',
  'Transfer.garden': 'application/zip',
  'Uploads.consumer': 'text/plain',
  'Uploads.gateway': 'text/plain',
};
