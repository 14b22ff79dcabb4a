/** The words that describe a plant. */
export const CROPS = ['tomato', 'pepper'] as const;
/** Tomato or pepper. */
export type Crop = (typeof CROPS)[number];

/** Growth habits. */
export const GROWTH_HABITS = ['determinate', 'semi-determinate', 'indeterminate'] as const;
/** Growth habit: bush, semi-bush or cordon. */
export type GrowthHabit = (typeof GROWTH_HABITS)[number];

const TOMATO_TYPES = ['cherry', 'slicer', 'paste', 'beefsteak'] as const;
const PEPPER_TYPES = ['sweet', 'hot', 'superhot'] as const;
/** Types of both crops. */
export const PLANT_TYPES = [...TOMATO_TYPES, ...PEPPER_TYPES] as const;
/** Type of fruit. */
export type PlantType = (typeof PLANT_TYPES)[number];

/** Growth stages, in order. */
export const STAGES = ['seedling', 'establishing', 'vegetative', 'flowering', 'fruiting', 'ripening', 'late'] as const;
/** Growth stage. */
export type Stage = (typeof STAGES)[number];

/**
 * Returns the types that belong to a crop.
 * @example typesOf('pepper') // ['sweet', 'hot', 'superhot']
 */
export const typesOf = (crop: Crop): readonly PlantType[] => (crop === 'tomato' ? TOMATO_TYPES : PEPPER_TYPES);
