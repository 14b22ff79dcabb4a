import { addDays, type Day } from '../units/day.js';

/** A removed sucker of 10 to 20 cm roots in water in one to two weeks (common practice). */
const ROOTING_STEPS = [
  { code: 'look', afterDays: 7, title: 'Look for roots and change the water' },
  { code: 'plant', afterDays: 14, title: 'Plant it deep, with only the top leaves out' },
] as const;
type RootingStep = (typeof ROOTING_STEPS)[number]['code'];

/** Returns the next step of a rooting sucker; null once it is planted. */
export function rootingOn(
  startedOn: Day,
  lookedOn: Day | null,
  plantedOn: Day | null,
  today: Day,
): { step: RootingStep; title: string; on: Day } | null {
  if (plantedOn !== null && plantedOn >= startedOn) return null;
  const [look, plant] = ROOTING_STEPS;
  const step =
    (lookedOn !== null && lookedOn >= startedOn) || today >= addDays(startedOn, plant.afterDays) ? plant : look;
  return { step: step.code, title: step.title, on: addDays(startedOn, step.afterDays) };
}
