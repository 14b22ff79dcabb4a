import { useQuery } from '@tanstack/react-query';
import { useEffect, useLayoutEffect, useState } from 'react';
import { Outlet, useOutletContext, useParams } from 'react-router';
import { GardenContext, RoleContext } from '../../../lib/garden-context';
import { setGardenHere } from '../../../offline/account';
import { Shell } from '../../../ui/shell';
import { gardenViewQuery, useRoleIn } from '../queries';

/**
 * What all pages of a garden stand in. It stays while one goes from page to page, so that a touch has only the page itself to draw.
 * It waits for nothing: a page says itself what it waits for, and of which garden it speaks.
 */
export function GardenFrame() {
  const { gardenId = '' } = useParams();
  const role = useRoleIn(gardenId);
  const { data: view, isPending } = useQuery(gardenViewQuery(gardenId));
  const [ofTheseDays, setOfTheseDays] = useState(true);
  // the made-up garden is looked at, and not where one lands
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

/** A page that stands on a day gone by says so: the ribbon, which tells of these days, is not shown over it. */
export function useDayGoneBy(is: boolean): void {
  const setOfTheseDays = useOutletContext<(is: boolean) => void>();
  useLayoutEffect(() => {
    if (!is) return;
    setOfTheseDays(false);
    return () => setOfTheseDays(true);
  }, [is, setOfTheseDays]);
}
