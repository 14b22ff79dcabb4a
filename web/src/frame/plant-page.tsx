import type { GardenView, PlantView } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { GardenContext } from '../lib/garden-context';
import { PageGuard } from './page-guard';
import { useDayGoneBy } from './garden-frame';
import { gardenViewQuery } from '../data/gardens';
import { plantViewQuery } from '../data/plants';

interface Props {
  waiting: string;
  /** `around`: its garden, once loaded */
  children: (view: PlantView, around: GardenView | undefined) => ReactNode;
}

/** A plant page; it does not wait for its garden. */
export function PlantPage({ waiting, children }: Props) {
  const { gardenId = '', plantId = '' } = useParams();
  const around = useQuery(gardenViewQuery(gardenId)).data;
  const query = useQuery(plantViewQuery(gardenId, plantId));
  // archived plants are shown on their last day
  useDayGoneBy(Boolean(query.data?.ended));
  return (
    <PageGuard query={query} waiting={waiting}>
      {(view) => <GardenContext.Provider value={view.garden}>{children(view, around)}</GardenContext.Provider>}
    </PageGuard>
  );
}
