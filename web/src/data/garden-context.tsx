import type { GardenDto } from '@candid-leaf/contract';
import { format, parseISO } from 'date-fns';
import { createContext, useContext } from 'react';
import type { Day } from '@candid-leaf/core/units';

/** The garden whose pages are shown. */
export const GardenContext = createContext<GardenDto | null>(null);

export function useGarden(): GardenDto {
  const garden = useContext(GardenContext);
  if (!garden) throw new Error('this page belongs inside a garden');
  return garden;
}

/** A day in the gardener's own form: "9 July". */
export function useDayWords(): (day: Day) => string {
  const { dateForm } = useGarden();
  return (day) => format(parseISO(day), dateForm);
}
