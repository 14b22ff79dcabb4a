import { CREATURES } from './creatures.js';
import { DISEASE } from './disease.js';
import { FLOWER } from './flower.js';
import { FRUIT } from './fruit.js';
import { NATURAL_AND_MECHANICAL, NUTRITION } from './nutrition.js';
import type { DisorderRow } from './row.js';
import type { DisorderCode } from '../vocabulary/disorders.js';
import { WATER_AND_WEATHER } from './weather.js';

/** Everything that is known of the disorders, in the order of the handbook. */
export const DISORDERS: readonly DisorderRow[] = [...FRUIT, ...FLOWER, ...WATER_AND_WEATHER, ...NUTRITION, ...NATURAL_AND_MECHANICAL, ...CREATURES, ...DISEASE];

const BY_CODE = new Map(DISORDERS.map((d) => [d.code, d]));
export const disorderRow = (code: DisorderCode): DisorderRow => {
  const row = BY_CODE.get(code);
  if (!row) throw new RangeError(`no row for the disorder ${code}`);
  return row;
};
export type { DisorderRow } from './row.js';
