import { barrelLevel, COUNTED_CHANCE_PCT, type BarrelLevel } from '@candid-leaf/core/water';
import { addDays, type Day } from '@candid-leaf/core/units';
import { forecastIn, measuredIn } from '../assessment/weather-lists.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';

/** Days whose rain counts as coming. */
const AHEAD_DAYS = 3;

/** Returns what is in the rain barrel; null where none is described. Cans are filled from it, hoses are not. */
export function barrelIn(s: GardenSnapshot): BarrelLevel | null {
  const { barrelL, roofM2, barrelSeenL, barrelSeenOn } = s.garden.stock ?? {};
  if (!barrelL || !roofM2 || barrelSeenL == null || !barrelSeenOn) return null;
  const taken = new Map<Day, number>();
  for (const place of livePlaces(s)) {
    if (place.irrigation && place.irrigation !== 'can') continue;
    const plants = livePlantsIn(s, place.id);
    for (const [id, times] of [[place.id, plants.length], ...plants.map((p) => [p.id, 1] as const)] as const)
      for (const r of s.recordsOf(id))
        if (r.day > barrelSeenOn && r.day <= s.today && r.type === 'watering') {
          const { litres } = r.data as { litres?: number };
          if (litres) taken.set(r.day, (taken.get(r.day) ?? 0) + litres * times);
        }
  }
  return barrelLevel(
    { volumeL: barrelL, roofM2, seenL: barrelSeenL, seenOn: barrelSeenOn },
    measuredIn(s).filter((w) => w.date <= s.today),
    taken,
    forecastIn(s).filter(
      (w) =>
        w.date > s.today && w.date <= addDays(s.today, AHEAD_DAYS) && (w.rainChancePct ?? 100) >= COUNTED_CHANCE_PCT,
    ),
  );
}
