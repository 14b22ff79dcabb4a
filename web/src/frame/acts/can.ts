import { LITRES_PER } from '@candid-leaf/core/units';

/** A usual can by the gardener's unit, L (judgement). */
export const CAN_L = { L: 10, 'gal-us': 2 * LITRES_PER['gal-us'], 'gal-imp': 2 * LITRES_PER['gal-imp'] } as const;
