import type { GardenView, PlaceOnView } from '@candid-leaf/contract';
import { Footprints } from 'lucide-react';
import { Link } from 'react-router';
import { GardenPage } from '../../../frame/garden-page';
import { useFormat, useLink } from '../../../lib/garden-context';
import { sentence } from '../../../lib/words';
import { buttonLook } from '../../../ui/button';
import { Empty } from '../../../ui/states';
import { walkOf } from '../walk-of';

/** Where to look: the bed that is due first, then every bed and plant. */
export function LookOverScreen() {
  return (
    <GardenPage narrow needs="record" title={() => 'Look over'}>
      {(view) => <LookOver view={view} />}
    </GardenPage>
  );
}

function LookOver({ view }: { view: GardenView }) {
  const link = useLink();
  const planted = view.places.filter((p) => p.plants.length > 0);
  // those with a reason first, in walking order
  const due = planted.filter((p) => walkOf(view, p.place.id));
  const [first] = due;
  if (planted.length === 0)
    return (
      <Empty title="No plants yet">
        <p>Add a bed or pot with its plants first.</p>
      </Empty>
    );
  return (
    <>
      {first ? (
        <>
          <p className="max-w-prose text-soft">
            {first.place.name}: {sentence(walkOf(view, first.place.id)!.why[0] ?? '')}
          </p>
          <Link className={`mt-3 ${buttonLook('main')}`} to={link('placeWalk', { placeId: first.place.id })}>
            <Footprints aria-hidden size={18} /> Start with {first.place.name}
          </Link>
        </>
      ) : (
        <p className="text-soft">No look is due. Choose a bed or a plant.</p>
      )}
      <ul className="mt-4 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {planted.map((p) => (
          <Bed key={p.place.id} bed={p} due={due.includes(p)} />
        ))}
      </ul>
    </>
  );
}

function Bed({ bed: { place, plants }, due }: { bed: PlaceOnView; due: boolean }) {
  const link = useLink();
  const format = useFormat();
  const looks = plants.flatMap((p) => p.lastLook ?? []).sort();
  const [last] = looks;
  return (
    <li className="rounded-2xl border border-line bg-card">
      <Link
        to={link('placeWalk', { placeId: place.id })}
        className="flex min-h-12 items-center justify-between gap-2 px-4 py-2"
      >
        <span>
          <span className="block font-head text-xl font-semibold">{place.name}</span>
          <span className={due ? 'text-sm font-semibold text-ink' : 'text-sm text-soft'}>
            {due ? 'Due' : last && looks.length === plants.length ? `Looked over ${format.day(last)}` : 'Not due'}
          </span>
        </span>
        <Footprints aria-hidden size={20} className="shrink-0 text-leaf" />
      </Link>
      <ul className="flex flex-wrap gap-1 border-t border-line px-2 py-1" aria-label={`Plants in ${place.name}`}>
        {plants.map(({ plant }) => (
          <li key={plant.id}>
            <Link className={buttonLook('quiet')} to={link('look', { plantId: plant.id })}>
              {plant.name}
            </Link>
          </li>
        ))}
      </ul>
    </li>
  );
}
