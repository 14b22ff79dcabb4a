import type { PlacePlanDto, PourDto } from '@candid-leaf/contract';
import type { Day } from '@candid-leaf/core/units';
import type { PlanDay, WeekPlan } from '@candid-leaf/core/water';

/** One group on one day of the week. */
export interface PourOnDay {
  pour: PourDto;
  day: PlanDay;
  /** for all its plants */
  litres: number;
}

/** A day of the week across all groups of a bed. */
export interface PlaceDay {
  date: Day;
  litres: number;
  rainMm: number;
  allowed: boolean;
  pours: PourOnDay[];
}

/** Returns the week of a bed by day; empty if it can't be computed. */
export function weekOf(p: PlacePlanDto): PlaceDay[] {
  const planned = p.pours.flatMap((pour) => (pour.plan ? [{ pour, plan: pour.plan }] : []));
  return (planned[0]?.plan.days ?? []).map((first, i): PlaceDay => {
    const pours = planned.flatMap(({ pour, plan }): PourOnDay[] => {
      const day = plan.days[i];
      return day ? [{ pour, day, litres: day.litres * pour.plants.length }] : [];
    });
    return {
      date: first.date,
      litres: pours.reduce((sum, x) => sum + x.litres, 0),
      rainMm: first.rainMm,
      allowed: first.allowed,
      pours,
    };
  });
}

/** Returns the groups without a plan because nobody knows what they got: of them nothing is ordered or ruled out. */
export const unknownOf = (p: PlacePlanDto): string[] =>
  p.pours.filter((pour) => !pour.known && pour.plants.length > 0).map((pour) => pour.speaker);

/** Sums a value over all groups. */
export const overAll = (p: PlacePlanDto, value: (plan: WeekPlan) => number): number =>
  p.pours.reduce((sum, pour) => sum + (pour.plan ? value(pour.plan) * pour.plants.length : 0), 0);

/** Returns the first day of shortage if the rain fails, and the total amount needed then. */
export function withoutRain(p: PlacePlanDto): { date: Day; litres: number } | null {
  const short = p.pours.flatMap((pour) =>
    pour.plan?.withoutRain
      ? [{ date: pour.plan.withoutRain.date, litres: pour.plan.withoutRain.litres * pour.plants.length }]
      : [],
  );
  const first = short.map((s) => s.date).sort()[0];
  if (!first) return null;
  return { date: first, litres: short.filter((s) => s.date === first).reduce((sum, s) => sum + s.litres, 0) };
}
