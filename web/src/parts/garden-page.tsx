import type { GardenView } from '@candid-leaf/contract';
import type { ReactNode } from 'react';
import { Navigate, useParams } from 'react-router';
import { ApiError } from '../data/api';
import { useGardenView } from '../data/queries';
import { Shell } from './shell';
import { Failed, Waiting } from './states';

/** A page of a garden under its title: the garden round it, and the states before it is there. */
export function GardenPage({
  title,
  children,
}: {
  title: (view: GardenView) => string;
  children: (view: GardenView) => ReactNode;
}) {
  const { gardenId } = useParams() as { gardenId: string };
  const view = useGardenView(gardenId);
  if (view.isPending) return <Waiting what="Opening the notebook" />;
  if (view.error instanceof ApiError && view.error.status === 401) return <Navigate to="/sign-in" replace />;
  if (view.error) return <Failed error={view.error} again={() => void view.refetch()} />;
  return (
    <Shell garden={view.data.garden} ribbon={view.data.ribbon} weather={view.data.weather}>
      <h1 className="mb-3 text-3xl">{title(view.data)}</h1>
      {children(view.data)}
    </Shell>
  );
}
