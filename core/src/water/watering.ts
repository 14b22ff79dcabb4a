import type { Irrigation } from '../records/place.js';
import type { WaterMethod } from '../records/choices.js';
import type { Watering, WateringEntry } from '../records/record-classes.js';
import { roundTo } from '../units/rounding.js';
import { litresFromMinutes } from './flow.js';

/** What must be known of a place to write a watering of it down. */
export interface WateredPlace {
  irrigation?: Irrigation | null;
  /** of the whole place, litres an hour */
  flowLPerH?: number | null;
  /** plants that share the flow */
  plants: number;
}

const WAYS: Record<Irrigation, WaterMethod> = {
  can: 'base',
  hose: 'base',
  drip: 'drip',
  soaker: 'soaker',
  'buried-bottle': 'buried-bottle',
};

/** How a place is watered unless somebody says otherwise. */
export const wayOf = (irrigation: Irrigation | null | undefined): WaterMethod => WAYS[irrigation ?? 'can'];

/** Minutes that were told for a place whose flow nobody knows. */
export class FlowNotKnown extends RangeError {}

/**
 * The one way a watering is written: from the place, what was told of the amount, and the day. Minutes become litres per plant here,
 * with the flow of that day, so that a later change of the place changes nothing of it.
 * @throws FlowNotKnown for minutes alone where the place's flow is not known
 */
export function makeWatering(place: WateredPlace, entry: WateringEntry): Watering {
  const { date, litres, minutes, how, end } = entry;
  return {
    date,
    litres: litres ?? litresIn(place, minutes ?? 0),
    ...(minutes != null ? { minutes } : {}),
    how: how ?? wayOf(place.irrigation),
    ...(end ? { end } : {}),
  };
}

function litresIn({ flowLPerH, plants }: WateredPlace, minutes: number): number {
  if (!flowLPerH) throw new FlowNotKnown('minutes need a bed or pot with a known flow');
  return roundTo(litresFromMinutes(minutes, flowLPerH, Math.max(1, plants)), 3);
}
