import { useQuery } from '@tanstack/react-query';
import { ArrowLeft, Printer } from 'lucide-react';
import { Link } from 'react-router';
import type { GardenView } from '@candid-leaf/contract';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { Button, buttonLook } from '../../../ui/button';
import { Empty, Failed, Waiting } from '../../../ui/states';
import { GardenPage } from '../../../frame/garden-page';
import { WateringLists } from '../components/watering-lists';
import { Waterings } from '../components/waterings';
import { HOW_TO_WATER, IN_HEAT } from '../how';
import { plansQuery } from '../../../data/water';

/** A printed sheet for the helper: bed by bed in walking order, from the one plan. */
export function WhileAwayScreen() {
  return (
    <GardenPage narrow needs="keep" title={() => 'While you are away'}>
      {(view) => <List view={view} />}
    </GardenPage>
  );
}

function List({ view }: { view: GardenView }) {
  const garden = useGarden();
  const format = useFormat();
  const link = useLink();
  const plans = useQuery(plansQuery(garden.id));
  const away = (garden.away ?? []).find((a) => a.to >= garden.today);
  if (!away)
    return (
      <Empty title="No days away are set">
        <p>Set them, and this page makes the watering list for your helper.</p>
        <Link className={`${buttonLook('main')} mt-3`} to={link('settingsPage', { page: 'away' })}>
          Set days away
        </Link>
      </Empty>
    );
  if (plans.isPending) return <Waiting what="Calculating the days" />;
  if (plans.error) return <Failed error={plans.error} again={() => void plans.refetch()} />;
  const places = view.places.filter((p) => p.plants.length > 0);
  return (
    <article className="max-w-3xl">
      <div className="mb-4 flex flex-wrap gap-2 print:hidden">
        <Button look="main" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> Print
        </Button>
        <Link className={buttonLook('quiet')} to={link('settingsPage', { page: 'away' })}>
          <ArrowLeft aria-hidden size={18} /> Days away
        </Link>
      </div>
      <WateringLists away={away} />
      <p className="max-w-prose">
        {format.day(away.from)} to {format.day(away.to)}. {HOW_TO_WATER}
      </p>
      {view.today.some((t) => t.source === 'spray' && t.held) && (
        <>
          <h2 className="mt-4 text-xl">Sprayed here</h2>
          <ul className="list-disc pl-5 font-semibold text-ripe">
            {view.today.flatMap((t) =>
              t.source === 'spray' && t.held ? <li key={t.key}>{`${t.title}: ${t.held.because}.`}</li> : [],
            )}
          </ul>
        </>
      )}
      <ul className="mt-4 divide-y divide-line">
        {places.map(({ place }) => (
          <li key={place.id} className="py-3">
            <h2 className="text-xl">{place.name}</h2>
            <Waterings plan={plans.data.find((p) => p.placeId === place.id)} away={away} format={format} />
          </li>
        ))}
      </ul>
      <p className="mt-4 text-soft">{IN_HEAT}</p>
    </article>
  );
}
