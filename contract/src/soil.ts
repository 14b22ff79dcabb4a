import { type Nutrients } from '@candid-leaf/core/nutrition';
import type { EarlierYear } from '@candid-leaf/core/records';
import type { MulchPlan } from '@candid-leaf/core/soil';

/** Conclusions about the soil of a bed or pot. */
export interface SoilView {
  mulch: MulchPlan;
  mulchText: string;
  /** grams of the elements given this season, all plants together; null without records */
  fed: Nutrients | null;
  /** earlier crops and problems, filled in automatically */
  grown: EarlierYear[];
}
