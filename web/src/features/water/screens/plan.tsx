import { isPotted } from '@candid-leaf/core/records';
import type { PlaceDto, PlacePlanDto, PlaceWatering } from '@candid-leaf/contract';
import { COUNTED_CHANCE_PCT, WATERING_METHODS } from '@candid-leaf/core/water';
import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams } from 'react-router';
import { asInput } from '../../../lib/as-input';
import { useFormat, useGarden, useMay } from '../../../lib/garden-context';
import { linkTo } from '../../../lib/paths';
import { Unfold } from '../../../ui/unfold';
import { Fold } from '../../../ui/fold';
import { Failed, Waiting } from '../../../ui/states';
import { useWrite } from '../../../ui/use-write';
import { GardenPage } from '../../../frame/garden-page';
import { PlaceTabs } from '../../../frame/place-tabs';
import { Photos } from '../../../frame/acts/photos';
import { savePlace } from '../../../data/places';
import { Correct } from '../components/correct';
import { Rules } from '../components/rules';
import { TeachWeight } from '../components/teach-weight';
import { Kit } from '../components/kit';
import { Timer } from '../components/timer';
import { Week } from '../components/week';
import { placePlanQuery } from '../../../data/water';

/** The water plan of one bed: mornings, amounts and minutes; what rain saves, and what if it fails. */
export function PlanScreen() {
  const { gardenId = '', placeId = '' } = useParams();
  return (
    <GardenPage title={(v) => v.places.find((p) => p.place.id === placeId)?.place.name ?? 'Water'}>
      {(v) => {
        const place = v.places.find((p) => p.place.id === placeId)?.place;
        return place ? (
          <>
            <PlaceTabs placeId={placeId} />
            <Plan key={placeId} place={place} />
          </>
        ) : (
          <Navigate to={linkTo('garden', { gardenId })} replace />
        );
      }}
    </GardenPage>
  );
}

function Plan({ place }: { place: PlaceDto }) {
  const garden = useGarden();
  const may = useMay();
  const plan = useQuery(placePlanQuery(garden.id, place.id));
  const save = useWrite(savePlace, garden.id);
  if (plan.isPending) return <Waiting what="Calculating the week" />;
  if (plan.error) return <Failed error={plan.error} again={() => void plan.refetch()} />;
  const p = plan.data;
  const setWatering = (change: Partial<PlaceWatering>, flowLPerH?: number) =>
    save.mutate({
      place: { ...asInput(place), watering: { ...p.watering, ...change }, ...(flowLPerH ? { flowLPerH } : {}) },
    });
  return (
    <div className="grid gap-5 lg:grid-cols-[1fr_23.5rem]">
      <div className="flex flex-col gap-4">
        <Week place={place} p={p} />
        <Correct place={place} p={p} />
        {isPotted(place) && <TeachWeight place={place} />}
        {p.watering.timerZone && <Timer place={place} p={p} />}
        <Kit place={place} p={p} />
        <Facts p={p} />
        <Fold everywhere title="Photos">
          <Photos of={{ placeId: place.id }} name={place.name} />
        </Fold>
      </div>
      {may('keep') && (
        <Fold title={`Watering method: ${WATERING_METHODS[p.method].label.toLowerCase()}`}>
          <Rules place={place} p={p} busy={save.isPending} onChange={setWatering} />
        </Fold>
      )}
    </div>
  );
}

/** How recent the plan's data are. */
function Facts({ p }: { p: PlacePlanDto }) {
  const format = useFormat();
  return (
    <Unfold
      look="quiet"
      className="text-sm"
      title={p.weatherUntil ? `Weather up to ${format.day(p.weatherUntil)}` : 'No weather measured'}
    >
      {() => (
        <p className="text-soft">
          {p.forecastUntil
            ? `The forecast reaches to ${format.day(p.forecastUntil)}.`
            : 'There is no forecast: we assume days like last week’s.'}{' '}
          Rain counts from a chance of {COUNTED_CHANCE_PCT} %. Water in the morning: leaves dry, and least is lost.
        </p>
      )}
    </Unfold>
  );
}
