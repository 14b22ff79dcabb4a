import type { DayOfHours } from '@candid-leaf/core/climate';
import type { Day } from '@candid-leaf/core/units';
import type { StationDay } from '../sources/source.js';

/** A day with where it comes from. */
export type SourcedDay = StationDay & { source: string };

/**
 * Returns the days with the garden's own station before the service: whole days as measured, with the service for what the
 * station lacks; today with the rain that fell here so far.
 * @param whole days with enough hours
 * @param soFar the station's hours of today
 */
export function withOwn(
  service: readonly SourcedDay[],
  whole: readonly DayOfHours[],
  soFar: DayOfHours | null,
  today: Day,
): SourcedDay[] {
  const days = new Map(service.map((d) => [d.date, d]));
  for (const own of whole) {
    if (own.date >= today) continue;
    const other = days.get(own.date);
    days.set(own.date, {
      date: own.date,
      tMinC: own.tMinC,
      tMaxC: own.tMaxC,
      rainMm: own.rainMm,
      rhMeanPct: own.rhMeanPct ?? other?.rhMeanPct ?? null,
      windMs: own.windMs ?? other?.windMs ?? null,
      solarMj: own.solarMj ?? other?.solarMj ?? null,
      wetHours: own.wetHours ?? other?.wetHours ?? null,
      nightC: own.nightC ?? other?.nightC ?? null,
      source: 'own',
    });
  }
  const now = days.get(today);
  if (now && soFar) {
    const toCome = now.rainToComeMm ?? Math.max(0, now.rainMm - soFar.rainMm);
    days.set(today, { ...now, rainMm: soFar.rainMm + toCome });
  }
  return [...days.values()].sort((a, b) => (a.date < b.date ? -1 : 1));
}
