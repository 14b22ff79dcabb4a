import type { GardenView } from '@candid-leaf/contract';
import type { ReactNode } from 'react';
import { Navigate, useParams } from 'react-router';
import { ApiError } from '../../data/api';
import { useGardenView } from '../../data/queries';
import { Shell } from '../../parts/shell';
import { Failed, Waiting } from '../../parts/states';

/** What every form page needs: the garden round it, and the states before it is there. */
export function EditFrame({
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

export function FormCard({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="rounded-2xl border border-line bg-card p-4">
      <legend className="-ml-1 px-1 font-head text-lg font-semibold">{title}</legend>
      <div className="grid gap-4 sm:grid-cols-2">{children}</div>
    </fieldset>
  );
}

/** Words for a list of codes: "clay-loam" reads "Clay loam". */
export const choices = (codes: readonly string[], unknown = true): [string, string][] => [
  ...(unknown ? ([['', 'not known']] as [string, string][]) : []),
  ...codes.map((c): [string, string] => [c, c.charAt(0).toUpperCase() + c.slice(1).replaceAll('-', ' ')]),
];
