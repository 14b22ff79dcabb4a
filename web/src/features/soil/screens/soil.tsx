import { asInput } from '../../../lib/as-input';
import { savePlace } from '../../../data/places';
import { useWrite } from '../../../ui/use-write';
import { Button, buttonLook } from '../../../ui/button';
import { Companions } from '../components/companions';
import type { PlaceDto, PlaceOnView } from '@candid-leaf/contract';
import { isPotted } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams, Link } from 'react-router';
import { useGarden, useFormat, useLink } from '../../../lib/garden-context';
import { linkTo } from '../../../lib/paths';
import { sentence } from '../../../lib/words';
import { Unfold } from '../../../ui/unfold';
import { Panel } from '../../../ui/panel';
import { PlaceTabs } from '../../../frame/place-tabs';
import { GardenPage } from '../../../frame/garden-page';
import { Acidity } from '../components/acidity';
import { Layers } from '../components/layers';
import { PlotHistory } from '../components/plot-history';
import { SoilTestPanel } from '../components/soil-test-panel';
import { soilQuery } from '../../../data/soil';

/** The soil of one bed: test, lime or sulfur, layers, earlier crops and problems. */
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
        <Companions place={place} />
      </div>
      <div className="flex flex-col gap-4">
        <Mulch place={place} />
        {!isPotted(place) && <Acidity place={place} crop={crop} />}
        <Fed place={place} />
        <Unfold look="card" title={isPotted(place) ? 'Compost or mulch' : 'Compost, mulch, drainage test'}>
          {() => (
            <div className="mt-2 flex flex-col gap-4">
              <Layers place={place} plants={plants.length} />
            </div>
          )}
        </Unfold>
      </div>
    </div>
  );
}

/** What the bed got this season, all plants together. */
function Fed({ place }: { place: PlaceDto }) {
  const f = useFormat();
  const fed = useQuery(soilQuery(useGarden().id, place.id)).data?.fed;
  if (fed === undefined) return null;
  return (
    <Panel title="Fed this season">
      <p className="mt-1">
        {fed === null
          ? 'No feed is recorded here. That may only mean it was not written down.'
          : `${f.nutrient(fed.nG)} of N, ${f.nutrient(fed.pG)} of P and ${f.nutrient(fed.kG)} of K for all plants together.`}
      </p>
    </Panel>
  );
}

function Mulch({ place }: { place: PlaceDto }) {
  const garden = useGarden();
  const link = useLink();
  const query = useQuery(soilQuery(garden.id, place.id));
  const save = useWrite(savePlace, garden.id);
  if (!query.data) return null;
  const bare = () =>
    save.mutate(
      { place: { ...asInput(place), mulch: [{ from: garden.today, to: null, depthMm: 0 }] } },
      { said: 'Recorded: the soil is bare.' },
    );
  return (
    <Panel title="Mulch">
      <p className="mt-1">{sentence(query.data.mulchText)}</p>
      {query.data.mulch.kind === 'ask' && (
        <div className="mt-2 flex flex-wrap gap-2">
          <Button onClick={bare} disabled={save.isPending}>
            The soil is bare
          </Button>
          <Link className={buttonLook('quiet')} to={link('place', { placeId: place.id })}>
            There is mulch
          </Link>
        </div>
      )}
    </Panel>
  );
}
