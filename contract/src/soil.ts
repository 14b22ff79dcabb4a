import { type Nutrients } from '@candid-leaf/core/nutrition';
import type { EarlierYear } from '@candid-leaf/core/records';
import type { MulchPlan } from '@candid-leaf/core/soil';

/** What is concluded of a place's soil. */
export interface SoilView {
  mulch: MulchPlan;
  mulchText: string;
  /** grams of the elements that the place got this season, all plants together; null where nothing is recorded */
  fed: Nutrients | null;
  /** what grew and ailed here, written by itself */
  grown: EarlierYear[];
}
