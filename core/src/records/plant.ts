/** The words that describe a plant. */
export const CROPS = ['tomato', 'pepper'] as const;
export type Crop = (typeof CROPS)[number];

export const GROWTH_HABITS = ['determinate', 'semi-determinate', 'indeterminate'] as const;
export type GrowthHabit = (typeof GROWTH_HABITS)[number];

export const TOMATO_TYPES = ['cherry', 'slicer', 'paste', 'beefsteak'] as const;
export const PEPPER_TYPES = ['sweet', 'hot', 'superhot'] as const;
export const PLANT_TYPES = [...TOMATO_TYPES, ...PEPPER_TYPES] as const;
export type PlantType = (typeof PLANT_TYPES)[number];

export const STAGES = ['seedling', 'establishing', 'vegetative', 'flowering', 'fruiting', 'ripening', 'late'] as const;
export type Stage = (typeof STAGES)[number];

/** Returns the types that belong to a crop. */
export const typesOf = (crop: Crop): readonly PlantType[] => (crop === 'tomato' ? TOMATO_TYPES : PEPPER_TYPES);
