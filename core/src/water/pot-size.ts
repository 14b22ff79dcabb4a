import type { Crop, PlantType } from '../records/plant.js';

/** Pot sizes, L. */
interface PotSize {
  /** smaller ones run dry within a hot day, and the fruit shows it */
  least: number;
  /** advised for a good crop */
  advised: number;
}

/**
 * Common practice: a tomato needs 20 litres and more, varieties with large fruit 60 to 70, a pepper 10 to 12
 * (from memory). Plans, findings and remedies all read this.
 */
const POT_SIZES: Record<Crop, PotSize> = { tomato: { least: 15, advised: 20 }, pepper: { least: 10, advised: 12 } };
const BEEFSTEAK: PotSize = { least: 20, advised: 60 };

/**
 * Returns the least and the advised pot for a plant, L.
 * @example potSizeFor({ crop: 'pepper' }).advised // 12
 */
export const potSizeFor = ({ crop, type }: { crop: Crop; type?: PlantType | null | undefined }): PotSize =>
  type === 'beefsteak' ? BEEFSTEAK : POT_SIZES[crop];
