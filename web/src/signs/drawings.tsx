import type { SignCode } from '@candid-leaf/core/records';
import { CIRCUMSTANCES } from './circumstances';
import { CREATURES } from './creatures';
import { FLOWERS } from './flowers';
import { FRUIT } from './fruit';
import { FRUIT_DAMAGE } from './fruit-damage';
import { LEAF_COLOUR } from './leaf-colour';
import { LEAF_DAMAGE } from './leaf-damage';
import { LEAF_SHAPE } from './leaf-shape';
import { LEAF_SPOTS } from './leaf-spots';
import { ROOTS_AND_SOIL } from './roots-and-soil';
import { STEM_AND_PLANT } from './stem-and-plant';
import type { Drawing } from './marks';

/** One drawing per sign; tomato and pepper forms where they differ. */
export const DRAWINGS: Record<SignCode, Drawing> = {
  ...LEAF_SHAPE,
  ...LEAF_COLOUR,
  ...LEAF_SPOTS,
  ...LEAF_DAMAGE,
  ...FRUIT_DAMAGE,
  ...FRUIT,
  ...FLOWERS,
  ...STEM_AND_PLANT,
  ...CREATURES,
  ...ROOTS_AND_SOIL,
  ...CIRCUMSTANCES,
};
