import { reaches, type GardenView, type Role } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { useContext, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { GardenContext, RoleContext } from '../lib/garden-context';
import { PageGuard } from './page-guard';
import { NotOpen } from '../ui/states';
import { gardenViewQuery } from '../data/gardens';

interface Props {
  /** its heading; null if the page has its own */
  title: ((view: GardenView) => string) | null;
  waiting?: string;
  /** read or filled in line by line: it stands in the middle of a wide screen */
  narrow?: boolean;
  /** role needed; viewing is open to all */
  needs?: Role;
  children: (view: GardenView) => ReactNode;
}

/** A garden page with its title, in the garden's frame, and its loading states. */
export function GardenPage({ title, waiting = 'Opening your garden', needs = 'look', narrow, children }: Props) {
  const { gardenId = '' } = useParams();
  const role = useContext(RoleContext);
  return (
    <PageGuard query={useQuery(gardenViewQuery(gardenId))} waiting={waiting}>
      {(view) => (
        <GardenContext.Provider value={view.garden}>
          {title && (
            <h1 data-narrow={narrow} className="mb-3 text-3xl">
              {title(view)}
            </h1>
          )}
          {reaches(role, needs) ? children(view) : <NotOpen />}
        </GardenContext.Provider>
      )}
    </PageGuard>
  );
}
