import { SIGN_CODES, type SignCode } from './signs.js';

/** First word of a sign's code: what the sign is about. */
export type SignFamily = FamilyOf<SignCode>;
type FamilyOf<S extends string> = S extends `${infer F}-${string}` ? F : never;

/**
 * Returns the family of a sign.
 * @example familyOf('fruit-burst') // 'fruit'
 */
export const familyOf = (sign: SignCode): SignFamily => sign.slice(0, sign.indexOf('-')) as SignFamily;

/**
 * Returns whether a sign is of one of these families.
 * @example isOf('pot-light', 'soil', 'pot') // true
 */
export const isOf = (sign: SignCode, ...families: readonly SignFamily[]): boolean => families.includes(familyOf(sign));

type Group = ReadonlySet<SignCode>;
const group = (...signs: readonly SignCode[]): Group => new Set(signs);

/** Leaves that droop. */
export const DROOPING: Group = group('leaf-wilt', 'leaf-wilt-midday-only', 'leaf-wilt-at-dawn', 'leaf-wilt-one-side');

/** How the leaves hang; it changes within hours. */
export const POSTURE: Group = group(...DROOPING, 'leaf-recovers-after-water', 'leaf-no-recovery-after-water');

/** What tells how wet the soil is: a finger, or the weight of a pot. */
export const SOIL_MOISTURE: Group = group('soil-dry-deep', 'soil-damp-deep', 'soil-wet-deep', 'pot-light', 'pot-heavy');

/** Not visible from the path: it takes digging, cutting, lifting, turning a leaf or waiting. */
export const HIDDEN: Group = group(
  ...SIGN_CODES.filter((sign) => isOf(sign, 'root', 'soil', 'pot')),
  'leaf-recovers-after-water',
  'leaf-no-recovery-after-water',
  'leaf-wilt-at-dawn',
  'leaf-wilt-midday-only',
  'leaf-purple-under',
  'leaf-bronzed-under',
  'leaf-white-fuzz-under',
  'leaf-olive-mould-under',
  'leaf-webbing',
  'leaf-droppings',
  'fruit-droppings-on-bites',
  'fruit-grubs-inside',
  'stem-brown-inside',
  'stem-ooze',
);

/** Spots, rings, powder and changed colours of leaves. */
export const LEAF_SPOTS_AND_COLOURS: Group = group(
  'leaf-cup-yellow-edge',
  'leaf-corky-bumps',
  'leaf-yellow-slow-few',
  'leaf-yellow-fast',
  'leaf-yellow-whole-old',
  'leaf-yellow-between-veins-old',
  'leaf-yellow-between-veins-new',
  'leaf-yellow-mushy',
  'leaf-yellow-crisp',
  'leaf-yellow-patches',
  'leaf-yellow-one-side',
  'leaf-purple-under',
  'leaf-purple-veins-rolled',
  'leaf-mottle',
  'leaf-bronze-rings',
  'leaf-target-spots',
  'leaf-small-grey-spots',
  'leaf-small-dark-spots',
  'leaf-frogeye-spots',
  'leaf-greasy-blotches',
  'leaf-olive-mould-under',
  'leaf-white-powder',
  'leaf-powder-below',
  'leaf-stipple',
);
