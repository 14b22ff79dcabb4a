import { Neighbours } from '../components/neighbours';
import type { PlaceDto, PlaceOnView } from '@candid-leaf/contract';
import { isPotted } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams } from 'react-router';
import { useGarden } from '../../../lib/garden-context';
import { linkTo } from '../../../lib/paths';
import { sentence } from '../../../lib/words';
import { Panel } from '../../../ui/panel';
import { PlaceTabs } from '../../garden/components/place-tabs';
import { GardenPage } from '../../garden/components/garden-page';
import { Acidity } from '../components/acidity';
import { Drenches } from '../components/drenches';
import { Layers } from '../components/layers';
import { PlotHistory } from '../components/plot-history';
import { SoilTestPanel } from '../components/soil-test-panel';
import { soilQuery } from '../queries';

/** One place's soil: its test, what is short, lime or sulfur, what is laid on it, and what grew and ailed there. */
export function SoilScreen() {
  const { gardenId = '', placeId = '' } = useParams();
  return (
    <GardenPage title={(v) => v.places.find((p) => p.place.id === placeId)?.place.name ?? 'Soil'}>
      {(v) => {
        const at = v.places.find((p) => p.place.id === placeId);
        return at ? (
          <>
            <PlaceTabs placeId={placeId} />
            <Soil key={`${placeId} ${at.place.version}`} at={at} />
          </>
        ) : (
          <Navigate to={linkTo('garden', { gardenId })} replace />
        );
      }}
    </GardenPage>
  );
}

function Soil({ at }: { at: PlaceOnView }) {
  const { place, plants } = at;
  const crop = plants[0]?.plant.crop ?? 'tomato';
  return (
    <div className="grid items-start gap-4 lg:grid-cols-2">
      <div className="flex flex-col gap-4">
        <SoilTestPanel place={place} crop={crop} />
        <PlotHistory place={place} />
        <Neighbours place={place} />
        <Drenches />
      </div>
      <div className="flex flex-col gap-4">
        {!isPotted(place) && <Acidity place={place} crop={crop} />}
        <Mulch place={place} />
        <Layers place={place} plants={plants.length} />
      </div>
    </div>
  );
}

function Mulch({ place }: { place: PlaceDto }) {
  const query = useQuery(soilQuery(useGarden().id, place.id));
  if (!query.data) return null;
  return (
    <Panel title="Mulch">
      <p className="mt-1">{sentence(query.data.mulchText)}</p>
    </Panel>
  );
}
