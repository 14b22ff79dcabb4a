import { type DisorderCode, onlyCropOf } from '../../records/vocabulary/disorders.js';
import { CHEWERS } from './chewers.js';
import { CREATURES } from './creatures.js';
import { DISEASE } from './disease.js';
import { FLOWER } from './flower.js';
import { FRUIT } from './fruit.js';
import { FRUIT_WITHIN } from './fruit-within.js';
import { NATURAL_AND_MECHANICAL, NUTRITION } from './nutrition.js';
import { ROTS } from './rots.js';
import type { DisorderRow } from './row.js';
import { WATER_AND_WEATHER } from './weather.js';

const withCrop = (row: Omit<DisorderRow, 'crop'>): DisorderRow => {
  const crop = onlyCropOf(row.code);
  return crop ? { ...row, crop } : row;
};

/** All problems, in handbook order. */
export const DISORDERS: readonly DisorderRow[] = [...FRUIT, ...FRUIT_WITHIN, ...FLOWER, ...WATER_AND_WEATHER, ...NUTRITION, ...NATURAL_AND_MECHANICAL, ...CREATURES, ...CHEWERS, ...DISEASE, ...ROTS].map(withCrop);

const BY_CODE = new Map(DISORDERS.map((d) => [d.code, d]));
/** Returns the row of a problem. Throws a RangeError for an unknown code. */
export const disorderRow = (code: DisorderCode): DisorderRow => {
  const row = BY_CODE.get(code);
  if (!row) throw new RangeError(`no row for the problem ${code}`);
  return row;
};
export type { DisorderRow } from './row.js';
