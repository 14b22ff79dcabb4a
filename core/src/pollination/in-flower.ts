import type { Crop, GrowthHabit, Stage } from '../records/plant.js';

const IN_FLOWER: ReadonlySet<Stage> = new Set<Stage>(['flowering', 'fruiting', 'ripening']);

/**
 * Returns whether a plant has open flowers: from the first ones on, as all but a bush tomato flower on while fruit ripens.
 * @example isInFlower({ crop: 'tomato', habit: 'determinate', stage: 'ripening' }) // false
 */
export const isInFlower = (p: { crop: Crop; habit?: GrowthHabit | null; stage?: Stage | null }): boolean =>
  p.stage != null &&
  IN_FLOWER.has(p.stage) &&
  !(p.stage === 'ripening' && p.crop === 'tomato' && p.habit === 'determinate');
