import { reaches, type GardenView, type Role } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { setGardenHere } from '../../../offline/account';
import { PageGuard } from '../../../ui/page-guard';
import { Shell } from '../../../ui/shell';
import { NotOpen } from '../../../ui/states';
import { gardenViewQuery, useRoleIn } from '../queries';

interface Props {
  /** its heading; null where the page has one of its own */
  title: ((view: GardenView) => string) | null;
  waiting?: string;
  /** who may open it; what is only looked at is open to all */
  needs?: Role;
  children: (view: GardenView) => ReactNode;
}

/** A page of a garden under its title: the garden round it, and the states before it is there. */
export function GardenPage({ title, waiting = 'Opening the notebook', needs = 'look', children }: Props) {
  const { gardenId = '' } = useParams();
  const role = useRoleIn(gardenId);
  const query = useQuery(gardenViewQuery(gardenId));
  // the made-up garden is looked at, and not where one lands
  const known = query.data !== undefined && !(role === 'look' && query.data.garden.pinnedDate);
  useEffect(() => {
    if (known) setGardenHere(gardenId);
  }, [known, gardenId]);
  return (
    <PageGuard query={query} waiting={waiting}>
      {(view) => (
        <Shell garden={view.garden} role={role} ribbon={view.ribbon} weather={view.weather}>
          {title && <h1 className="mb-3 text-3xl">{title(view)}</h1>}
          {reaches(role, needs) ? children(view) : <NotOpen />}
        </Shell>
      )}
    </PageGuard>
  );
}
