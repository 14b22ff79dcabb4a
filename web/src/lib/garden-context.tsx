import { reaches, type GardenDto, type Role } from '@candid-leaf/contract';
import { formatterFor, METRIC, type Formatter, type Units } from '@candid-leaf/core/units';
import { createContext, useContext, useMemo } from 'react';
import { linkTo, type Query, type Route, type RouteParams } from './paths';

/** The garden whose pages are shown. */
export const GardenContext = createContext<GardenDto | null>(null);

export function useGarden(): GardenDto {
  const garden = useContext(GardenContext);
  if (!garden) throw new Error('this page must be inside a garden');
  return garden;
}

/** The user's role in this garden. The server decides; this only hides what it would refuse. */
export const RoleContext = createContext<Role>('keep');

/** Returns whether the user may do this here. */
export function useMay(): (needed: Role) => boolean {
  const role = useContext(RoleContext);
  return (needed) => reaches(role, needed);
}

/** Returns the gardener's units; metric without a garden. */
export const useUnits = (): Units => useContext(GardenContext)?.units ?? METRIC;

/** Returns the formatter of this garden. */
export function useFormat(): Formatter {
  const { units, dateForm } = useGarden();
  return useMemo(() => formatterFor(units, dateForm), [units, dateForm]);
}

type WithinGarden<R extends Route> = Omit<RouteParams<R>, 'gardenId'>;

/** Returns links within this garden. */
export function useLink() {
  const { id } = useGarden();
  return <R extends Route>(route: R, params: WithinGarden<R>, query?: Query): string =>
    linkTo(route, { ...params, gardenId: id } as unknown as RouteParams<R>, query);
}
