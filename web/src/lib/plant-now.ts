import type { GrowthDto, PlantDto } from '@candid-leaf/contract';

/** Returns the plant of a view with the stage and height it has on its day by the growth model. */
export const asGrown = ({ plant, growth }: { plant: PlantDto; growth: GrowthDto }): PlantDto => ({
  ...plant,
  stage: growth.stage,
  heightM: growth.heightM,
});
