import type { SignCode } from '@candid-leaf/core/records';
import { FRUIT } from './fruit';
import { FLOWERS } from './flowers';
import { LEAVES } from './leaves';
import { CREATURES } from './creatures';
import { NEWCOMERS } from './newcomers';
import { STEM_AND_SOIL } from './stem-and-soil';
import { CIRCUMSTANCES } from './circumstances';
import type { Drawing } from './marks';

/** One drawing per sign; tomato and pepper forms where they differ. */
export const DRAWINGS: Record<SignCode, Drawing> = {
  ...FRUIT,
  ...FLOWERS,
  ...LEAVES,
  ...CREATURES,
  ...STEM_AND_SOIL,
  ...NEWCOMERS,
  ...CIRCUMSTANCES,
};
