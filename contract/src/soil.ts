import type { EarlierYear } from '@candid-leaf/core/records';
import type { MulchPlan } from '@candid-leaf/core/soil';

/** What is concluded of a place's soil. */
export interface SoilView {
  mulch: MulchPlan;
  mulchText: string;
  /** what grew and ailed here, written by itself */
  grown: EarlierYear[];
}
