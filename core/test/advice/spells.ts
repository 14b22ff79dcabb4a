import { usualFrosts } from '../../src/climate/index.js';

export { frostFrom, hardSpells, type PlaceInSpell, spellPlan } from '../../src/season/index.js';
/** Whether frost is usual there. */
export const usualFrostsCheck = (latitude: number, elevationM: number): boolean =>
  usualFrosts(latitude, elevationM) !== null;
