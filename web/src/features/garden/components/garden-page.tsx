import { reaches, type GardenView, type Role } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { useContext, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { GardenContext, RoleContext } from '../../../lib/garden-context';
import { PageGuard } from '../../../ui/page-guard';
import { NotOpen } from '../../../ui/states';
import { gardenViewQuery } from '../queries';

interface Props {
  /** its heading; null where the page has one of its own */
  title: ((view: GardenView) => string) | null;
  waiting?: string;
  /** who may open it; what is only looked at is open to all */
  needs?: Role;
  children: (view: GardenView) => ReactNode;
}

/** A page of a garden under its title, in the garden's frame, and the states before it is there. */
export function GardenPage({ title, waiting = 'Opening your garden', needs = 'look', children }: Props) {
  const { gardenId = '' } = useParams();
  const role = useContext(RoleContext);
  return (
    <PageGuard query={useQuery(gardenViewQuery(gardenId))} waiting={waiting}>
      {(view) => (
        <GardenContext.Provider value={view.garden}>
          {title && <h1 className="mb-3 text-3xl">{title(view)}</h1>}
          {reaches(role, needs) ? children(view) : <NotOpen />}
        </GardenContext.Provider>
      )}
    </PageGuard>
  );
}
