import type { TimerSet, Watering } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { makeWatering, timerRuns } from '@candid-leaf/core/water';
import type { PlaceEntity } from '../places/place.entity.js';
import { livePlantsIn, type GardenSnapshot } from './snapshots.service.js';
import { kept } from './stamps.js';
import { measuredIn } from './weather-lists.js';

/** Returns what a bed or pot must provide to turn minutes into litres. */
export const flowOf = (s: GardenSnapshot, place: PlaceEntity) => ({
  irrigation: place.irrigation,
  flowLPerH: place.flowLPerH,
  plants: livePlantsIn(s, place.id).length,
});

/** Returns the settings of the bed's timer, oldest first. */
export const timersOf = (s: GardenSnapshot, place: Pick<PlaceEntity, 'id'>): TimerSet[] =>
  kept(s, `timers ${place.id}`, `${s.today} ${s.kept.stampOf(place.id)}`, () =>
    s
      .recordsOf(place.id)
      .filter((r) => r.type === 'timer' && r.day <= s.today)
      .map((r) => r.data as TimerSet),
  );

/** Returns what the timer gave, or will give, between two days: as waterings of each plant of the bed. */
export function timedWaterings(s: GardenSnapshot, place: PlaceEntity, from: Day, to: Day): Watering[] {
  const timers = timersOf(s, place);
  if (timers.length === 0) return [];
  const rain = new Map(measuredIn(s).map((w) => [w.date, w.rainMm]));
  const flow = flowOf(s, place);
  return timerRuns(timers, from, to, (day) => rain.get(day) ?? 0).map((run) => makeWatering(flow, run));
}
