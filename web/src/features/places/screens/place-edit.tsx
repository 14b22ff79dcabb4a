import type { GardenView } from '@candid-leaf/contract';
import clsx from 'clsx';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import { useGarden, useLink } from '../../../lib/garden-context';
import { buttonLook } from '../../../ui/button';
import { Fold } from '../../../ui/fold';
import { Unfold } from '../../../ui/unfold';
import { Panel } from '../../../ui/panel';
import { Sortable } from '../../../ui/sortable';
import { Empty } from '../../../ui/states';
import { useWrite } from '../../../ui/use-write';
import { GardenPage } from '../../../frame/garden-page';
import { orderPlants } from '../../../data/plants';
import { RecordTable } from '../../../frame/acts/record-table';
import { placeRecordsQuery } from '../../../data/records';
import { QuickPlace } from '../../../frame/acts/quick-place';
import { AllPlants } from '../components/all-plants';
import { PlaceForm } from '../components/place-form';

export function PlaceEdit() {
  const { placeId } = useParams();
  const [params] = useSearchParams();
  const here = (v: GardenView) => v.places.find((p) => p.place.id === placeId);
  const copied = (v: GardenView) => v.places.find((p) => p.place.id === params.get('copy')) ?? null;
  return (
    <GardenPage needs="keep" title={(v) => here(v)?.place.name ?? 'New bed or pot'}>
      {(v) => {
        const view = here(v);
        if (placeId && !view) return <Empty title="This bed or pot is no longer in the garden." />;
        const quick = !view && !copied(v) && !params.has('full');
        return (
          <div className={clsx('grid grid-cols-1 gap-5', view && 'lg:grid-cols-[1fr_24rem]')}>
            <div className="flex min-w-0 flex-col gap-4">
              {quick ? (
                <>
                  <QuickPlace view={v} />
                  <Link className={`${buttonLook('quiet')} self-start`} to="?full=1">
                    Use the full form
                  </Link>
                </>
              ) : (
                <PlaceForm place={view?.place ?? null} copied={view ? null : copied(v)} all={v} />
              )}
            </div>
            {view && <Aside view={view} />}
          </div>
        );
      }}
    </GardenPage>
  );
}

function Aside({ view: { place, plants } }: { view: GardenView['places'][number] }) {
  const garden = useGarden();
  const link = useLink();
  const order = useWrite(orderPlants, garden.id);
  const records = useQuery(placeRecordsQuery(garden.id, place.id)).data ?? [];
  return (
    <aside className="flex flex-col gap-4">
      <Fold title="Plants, in walking order">
        <Panel title="Plants, in walking order">
          <div className="mt-2">
            <Sortable
              key={plants.map((p) => p.plant.id).join()}
              items={plants.map((p) => ({ id: p.plant.id, label: p.plant.name }))}
              onOrder={(ids) => order.mutate({ placeId: place.id, ids })}
            />
          </div>
          <Link className={`${buttonLook('plain')} mt-3`} to={link('newPlant', { placeId: place.id })}>
            Add a plant
          </Link>
        </Panel>
      </Fold>
      {plants.length > 1 && (
        <Unfold look="card" title={`All ${plants.length} plants at once`}>
          {() => <AllPlants key={plants.map((p) => p.plant.version).join()} plants={plants} />}
        </Unfold>
      )}
      <Unfold look="card" title="Records for the whole bed or pot">
        {() =>
          records.length > 0 ? (
            <RecordTable
              ofPlace
              records={records}
              targetOf={() => ({ plantId: null, placeId: place.id, name: place.name })}
            />
          ) : (
            <p className="px-4 py-2 text-soft">No records yet.</p>
          )
        }
      </Unfold>
    </aside>
  );
}
