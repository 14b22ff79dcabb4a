import type { GardenView, TaskDto } from '@candid-leaf/contract';
import { Plus } from 'lucide-react';
import { lazy, memo, startTransition, Suspense, useEffect, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useLink, useMay } from '../../../lib/garden-context';
import { Button, buttonLook } from '../../../ui/button';
import { Empty, Waiting } from '../../../ui/states';
import { useWide } from '../../../ui/use-wide';
import { TodayList } from '../today/today-list';
import { Steadiness } from '../../../frame/steadiness';
import { DayPanel } from '../components/day-panel';
import { GardenPage } from '../../../frame/garden-page';
import { PlaceStrip } from '../components/place-strip';
import { inNeed } from '../marks';
import { useKeptPlants } from '../keep-plants';

const WhileThere = lazy(async () => ({ default: (await import('../components/while-there')).WhileThere }));
/** Large gardens only. */
const NeedsSwitch = lazy(() => import('../components/needs-switch'));
/** Loaded when someone changes the order. */
const Arrange = lazy(async () => ({ default: (await import('../components/arrange')).Arrange }));

/** Once drawn completely, the garden is always drawn completely, so going back restores its length. */
let drawnOnce = false;

/** Returns false until the page was first painted. */
function useAfterFirstPaint(): boolean {
  const [painted, setPainted] = useState(drawnOnce);
  useEffect(() => {
    if (drawnOnce) return;
    let soon: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      soon = setTimeout(() => {
        drawnOnce = true;
        startTransition(() => setPainted(true));
      });
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(soon);
    };
  }, []);
  return painted;
}

/** Above this number of plants a filter is offered. */
const LARGE = 20;

const FirstSteps = lazy(async () => ({ default: (await import('../components/first-steps')).FirstSteps }));

/** Returns a task's place in the walking order. */
function orderOf(places: GardenView['places'], task: TaskDto): number | null {
  const at = places.findIndex(
    (p) => p.place.id === task.placeId || p.plants.some(({ plant }) => plant.id === task.plantId),
  );
  return at < 0 ? null : at;
}

/** The garden page: beds with their water left, and Today. */
export function GardenScreen() {
  return (
    <GardenPage title={null} waiting="Loading the garden">
      {(view) => <Garden view={view} />}
    </GardenPage>
  );
}

/** Redrawn only if its data changed, not at every refetch. */
const Garden = memo(function Garden({ view }: { view: GardenView }) {
  const { garden, ribbon, places, today, week } = view;
  useKeptPlants(view);
  const [params] = useSearchParams();
  const [ordering, setOrdering] = useState(false);
  const link = useLink();
  const may = useMay();
  const chosen = ribbon.find((d) => d.day === params.get('day'));
  const names = places.map((p) => p.place);
  const [onlyNeedy, setOnlyNeedy] = useState(false);
  const plantCount = places.reduce((n, p) => n + p.plants.length, 0);
  const needy = useMemo(() => inNeed(view), [view]);
  const shown = onlyNeedy
    ? places
        .map((p) => ({ ...p, plants: p.plants.filter((x) => needy.has(x.plant.id)) }))
        .filter((p) => p.plants.length > 0)
    : places;
  // on opening, Today comes first and the beds a moment later
  const whole = useAfterFirstPaint();
  const wide = useWide();
  // on a phone the beds come before it
  const asked = may('record') && !chosen && (
    <Suspense>
      <WhileThere view={view} />
    </Suspense>
  );
  return (
    <>
      <h1 className="sr-only">{garden.name}</h1>
      <div className="grid gap-4 lg:grid-cols-[1fr_22rem] lg:grid-rows-[auto_1fr]">
        <div className="min-w-0 lg:col-start-2">
          {chosen ? (
            <DayPanel key={chosen.day} day={chosen} service={view.weather.service} />
          ) : (
            <TodayList tasks={today} week={week} barrel={view.barrel} orderOf={(t) => orderOf(places, t)} />
          )}
          {wide && asked}
        </div>
        {/* the beds in walking order */}
        <div className="flex min-w-0 flex-col gap-4 lg:col-start-1 lg:row-span-2 lg:row-start-1">
          {places.length === 0 &&
            (may('keep') ? (
              <Suspense fallback={<Waiting what="Loading the tools" />}>
                <FirstSteps view={view} />
              </Suspense>
            ) : (
              <Empty title="No bed or pot yet">
                <p>A manager of this garden has not added one yet.</p>
              </Empty>
            ))}
          {ordering ? (
            <Suspense fallback={<Waiting what="Loading the beds" />}>
              <Arrange places={places} onDone={() => setOrdering(false)} />
            </Suspense>
          ) : (
            whole && (
              <>
                {plantCount > LARGE && (
                  <Suspense>
                    <NeedsSwitch checked={onlyNeedy} onChange={setOnlyNeedy} count={needy.size} of={plantCount} />
                  </Suspense>
                )}
                <div className="flex flex-wrap gap-3">
                  {shown.map((p) => (
                    <PlaceStrip key={p.place.id} view={p} day={chosen?.day ?? garden.today} tasks={today} />
                  ))}
                </div>
                {onlyNeedy && shown.length === 0 && <p className="text-soft">No plant needs anything today.</p>}
              </>
            )
          )}
          {may('keep') && (
            <div className="flex flex-wrap gap-2">
              <Link to={link('newPlace', {})} className={buttonLook('plain')}>
                <Plus aria-hidden size={18} /> Add a bed or pot
              </Link>
              {plantCount > 0 && !ordering && (
                <Button look="quiet" onClick={() => setOrdering(true)}>
                  Rearrange
                </Button>
              )}
            </div>
          )}
        </div>
        {!chosen && places.length > 0 && (
          <div className="min-w-0 lg:col-start-2">
            {!wide && asked}
            <Steadiness places={names} />
          </div>
        )}
      </div>
    </>
  );
});
