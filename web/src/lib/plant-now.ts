import type { PlantDto } from '@candid-leaf/contract';

/** Returns the plant with the stage and height it has today by the growth model, for drawings and facts. */
export const asGrown = <P extends PlantDto>(plant: P): P =>
  plant.growth ? { ...plant, stage: plant.growth.stage, heightM: plant.growth.heightM } : plant;
