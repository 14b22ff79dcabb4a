import { useQuery } from '@tanstack/react-query';
import { useEffect, useLayoutEffect, useState } from 'react';
import { Outlet, useOutletContext, useParams } from 'react-router';
import { GardenContext, RoleContext } from '../lib/garden-context';
import { setGardenHere } from '../offline/account';
import { Shell } from './shell';
import { gardenViewQuery, useRoleIn } from '../data/gardens';

/**
 * Frame of all garden pages. It stays mounted between pages, so a touch redraws only the page. It waits for nothing:
 * each page states its own waiting and its garden.
 */
export function GardenFrame() {
  const { gardenId = '' } = useParams();
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
          <Shell garden={view.garden} role={role} ribbon={ofTheseDays ? view.ribbon : null} weather={view.weather} />
        </GardenContext.Provider>
      ) : (
        isPending && <div className="h-36 print:hidden" />
      )}
      <main className="mx-auto max-w-7xl px-3 py-4 sm:px-5 2xl:max-w-[104rem]">
        <Outlet context={setOfTheseDays} />
      </main>
    </RoleContext.Provider>
  );
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
