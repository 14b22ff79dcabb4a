import type { GardenView, PlantView } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { PageGuard } from '../../../ui/page-guard';
import { Shell } from '../../../ui/shell';
import { gardenViewQuery, useRoleIn } from '../../garden/queries';
import { plantViewQuery } from '../queries';

interface Props {
  waiting: string;
  /** `around`: the garden it stands in, as soon as that is there */
  children: (view: PlantView, around: GardenView | undefined) => ReactNode;
}

/** A page of one plant; the garden's ribbon comes as soon as it is there, and nobody waits for it. */
export function PlantPage({ waiting, children }: Props) {
  const { gardenId = '', plantId = '' } = useParams();
  const role = useRoleIn(gardenId);
  const around = useQuery(gardenViewQuery(gardenId)).data;
  return (
    <PageGuard query={useQuery(plantViewQuery(gardenId, plantId))} waiting={waiting}>
      {(view) => (
        // what has ended stands on its last day, and the ribbon tells of these days
        <Shell garden={view.garden} role={role} ribbon={view.ended ? null : around?.ribbon} weather={around?.weather}>
          {children(view, around)}
        </Shell>
      )}
    </PageGuard>
  );
}
