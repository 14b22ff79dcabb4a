import { useQuery } from '@tanstack/react-query';
import { useEffect, useLayoutEffect, useState } from 'react';
import { matchPath, Outlet, useLocation, useOutletContext, useParams } from 'react-router';
import { GardenContext, RoleContext } from '../lib/garden-context';
import { ROUTES } from '../lib/paths';
import { setGardenHere } from '../offline/account';
import { useWide } from '../ui/use-wide';
import { Shell } from './shell';
import { gardenViewQuery, useRoleIn } from '../data/gardens';

/**
 * Frame of all garden pages. It stays mounted between pages, so a touch redraws only the page. It waits for nothing:
 * each page states its own waiting and its garden.
 */
export function GardenFrame() {
  const { gardenId = '' } = useParams();
  const days = useShowsDays();
  const role = useRoleIn(gardenId);
  const { data: view, isPending } = useQuery(gardenViewQuery(gardenId));
  const [ofTheseDays, setOfTheseDays] = useState(true);
  // the demo garden is only viewed, never the start page
  const known = view !== undefined && !(role === 'look' && view.garden.pinnedDate);
  useEffect(() => {
    if (known) setGardenHere(gardenId);
  }, [known, gardenId]);
  return (
    <RoleContext.Provider value={role}>
      {view ? (
        <GardenContext.Provider value={view.garden}>
          <Shell
            garden={view.garden}
            role={role}
            ribbon={days && ofTheseDays ? view.ribbon : null}
            weather={view.weather}
          />
        </GardenContext.Provider>
      ) : (
        isPending && <div className="h-36 print:hidden" />
      )}
      <main className="mx-auto max-w-7xl px-3 pt-4 pb-20 max-sm:has-[[data-pinned]]:pb-36 sm:px-5 sm:pb-4 2xl:max-w-[104rem] 2xl:has-[[data-narrow]]:max-w-[66rem]">
        <Outlet context={setOfTheseDays} />
      </main>
    </RoleContext.Provider>
  );
}

/** Pages where days matter; on a phone the two that are about the day. */
const OF_DAYS = { phone: ['garden', 'plant'], desk: ['garden', 'plant', 'placePlan', 'placeWalk', 'look'] } as const;

/** Returns whether the ribbon of days belongs on this page. */
function useShowsDays(): boolean {
  const { pathname } = useLocation();
  return OF_DAYS[useWide() ? 'desk' : 'phone'].some((page) => matchPath(ROUTES[page], pathname));
}

/** Hides the ribbon on a page about a past day. */
export function useDayGoneBy(is: boolean): void {
  const setOfTheseDays = useOutletContext<(is: boolean) => void>();
  useLayoutEffect(() => {
    if (!is) return;
    setOfTheseDays(false);
    return () => setOfTheseDays(true);
  }, [is, setOfTheseDays]);
}
