/** The words that describe a plant and where it stands; shared by every part of the core. */
export const CROPS = ['tomato', 'pepper'] as const;
export type Crop = (typeof CROPS)[number];

export const HABITS = ['determinate', 'semi-determinate', 'indeterminate'] as const;
export type Habit = (typeof HABITS)[number];

export const TOMATO_TYPES = ['cherry', 'slicer', 'paste', 'beefsteak'] as const;
export const PEPPER_TYPES = ['sweet', 'hot', 'superhot'] as const;
export const PLANT_TYPES = [...TOMATO_TYPES, ...PEPPER_TYPES] as const;
export type PlantType = (typeof PLANT_TYPES)[number];

export const STAGES = ['seedling', 'establishing', 'vegetative', 'flowering', 'fruiting', 'ripening', 'late'] as const;
export type Stage = (typeof STAGES)[number];

export const PLACE_KINDS = ['ground', 'raised-bed', 'container', 'tunnel-bed', 'indoors'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

export const POT_MATERIALS = ['plastic', 'glazed', 'terracotta', 'fabric'] as const;
export type PotMaterial = (typeof POT_MATERIALS)[number];

/** The types that belong to a crop. */
export const typesOf = (crop: Crop): readonly PlantType[] => (crop === 'tomato' ? TOMATO_TYPES : PEPPER_TYPES);

/** Places that no rain reaches. */
export const isCovered = (kind: PlaceKind): boolean => kind === 'tunnel-bed' || kind === 'indoors';
