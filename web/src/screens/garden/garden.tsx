import { Plus } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import { ApiError } from '../../data/api';
import { useGardenView } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { Shell } from '../../parts/shell';
import { Empty, Failed, Waiting } from '../../parts/states';
import { DayPanel } from './day-panel';
import { PlaceStrip } from './place-strip';
import { Steadiness } from './steadiness';
import { TodayList } from './today-list';

/** Fetched when somebody changes the order. */
const PlaceOrder = lazy(async () => ({ default: (await import('./place-order')).PlaceOrder }));

/** The garden as it lies, with the water left in each bed and pot, and what to do today. */
export function GardenScreen() {
  const { gardenId } = useParams() as { gardenId: string };
  const view = useGardenView(gardenId);
  const [params] = useSearchParams();
  const [ordering, setOrdering] = useState(false);
  if (view.isPending) return <Waiting what="Walking to the garden" />;
  if (view.error instanceof ApiError && view.error.status === 401) return <Navigate to="/sign-in" replace />;
  if (view.error) return <Failed error={view.error} again={() => void view.refetch()} />;
  const { garden, ribbon, places, today, weather } = view.data;
  const day = params.get('day');
  const chosen = ribbon.find((d) => d.day === day);
  return (
    <Shell garden={garden} ribbon={ribbon} weather={weather}>
      <h1 className="sr-only">{garden.name}</h1>
      <div className="grid gap-5 lg:grid-cols-[1fr_23rem]">
        <aside className="lg:order-2">
          {chosen ? <DayPanel key={chosen.day} day={chosen} /> : <TodayList tasks={today} />}
          {!chosen && places.length > 0 && <Steadiness places={places.map((p) => p.place)} />}
        </aside>
        <div className="flex flex-col gap-4">
          {places.length === 0 && (
            <Empty title="No bed or pot yet">
              <p>Add the first place that you walk past; plants go into it.</p>
            </Empty>
          )}
          {ordering ? (
            <Suspense fallback={<Waiting what="Lifting the beds" />}>
              <PlaceOrder places={places.map((p) => p.place)} onDone={() => setOrdering(false)} />
            </Suspense>
          ) : (
            places.map((p) => <PlaceStrip key={p.place.id} view={p} day={chosen?.day ?? garden.today} />)
          )}
          <div className="flex flex-wrap gap-2">
            <Link to={`/gardens/${garden.id}/places/new`} className={buttonLook('plain')}>
              <Plus aria-hidden size={18} /> Add a bed or pots
            </Link>
            {places.length > 1 && !ordering && (
              <Button look="quiet" onClick={() => setOrdering(true)}>
                Change the walking order
              </Button>
            )}
          </div>
        </div>
      </div>
    </Shell>
  );
}
