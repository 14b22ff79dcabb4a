import type { PlacePlanDto, PourDto } from '@candid-leaf/contract';
import type { Away } from '@candid-leaf/core/rounds';
import { useQuery } from '@tanstack/react-query';
import { ArrowLeft, Printer } from 'lucide-react';
import { Link, Navigate } from 'react-router';
import type { GardenView } from '@candid-leaf/contract';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { Button, buttonLook } from '../../../ui/button';
import { Failed, Waiting } from '../../../ui/states';
import { GardenPage } from '../../garden/components/garden-page';
import { plansQuery } from '../../water/queries';

/** A sheet for whoever waters meanwhile: place by place in walking order, by the one plan. */
export function WhileAwayScreen() {
  return <GardenPage title={() => 'While you are away'}>{(view) => <List view={view} />}</GardenPage>;
}

function List({ view }: { view: GardenView }) {
  const garden = useGarden();
  const format = useFormat();
  const link = useLink();
  const plans = useQuery(plansQuery(garden.id));
  const away = (garden.away ?? []).find((a) => a.to >= garden.today);
  if (!away) return <Navigate to={link('settings', {})} replace />;
  if (plans.isPending) return <Waiting what="Reckoning the days" />;
  if (plans.error) return <Failed error={plans.error} again={() => void plans.refetch()} />;
  const places = view.places.filter((p) => p.plants.length > 0);
  return (
    <article className="max-w-3xl">
      <div className="mb-4 flex flex-wrap gap-2 print:hidden">
        <Button look="main" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> Print
        </Button>
        <Link className={buttonLook('quiet')} to={link('settings', {})}>
          <ArrowLeft aria-hidden size={18} /> Settings
        </Link>
      </div>
      <p className="max-w-prose text-lg">
        {format.day(away.from)} to {format.day(away.to)}. Water in the morning, on the soil, slowly. Where it has rained
        well, or the soil is damp two knuckles deep, leave it out. Please pick what is ripe; nothing needs feeding,
        cutting or spraying.
      </p>
      <ul className="mt-4 divide-y divide-line">
        {places.map(({ place }) => (
          <li key={place.id} className="py-3">
            <h2 className="text-xl">{place.name}</h2>
            <Waterings plan={plans.data.find((p) => p.placeId === place.id)} away={away} />
          </li>
        ))}
      </ul>
      <p className="mt-4 text-soft">
        In heat of 32 °C (90 °F) and more lift the pots at midday too and water those that are light. Fruit that is
        soft, sour or gnawed goes in the bin. Wash hands: leaves and stems are poisonous.
      </p>
    </article>
  );
}

function Waterings({ plan, away }: { plan: PlacePlanDto | undefined; away: Away }) {
  if (!plan || plan.pours.length === 0) return <p className="text-soft">Nothing to water.</p>;
  return (
    <ul className="mt-1">
      {plan.pours.map((pour) => (
        <li key={pour.id}>
          {!plan.together && <strong>{pour.plants.join(', ')}: </strong>}
          <OnePour pour={pour} away={away} />
        </li>
      ))}
    </ul>
  );
}

/** The days of the plan that fall into the absence, and the rhythm for those beyond the week. */
function OnePour({ pour, away }: { pour: PourDto; away: Away }) {
  const format = useFormat();
  const { plan } = pour;
  if (!pour.known || !plan)
    return (
      <>nobody knows what it got: feel the soil two knuckles deep each morning, and water slowly where it is dry.</>
    );
  const n = pour.plants.length;
  const days = plan.days.filter((d) => d.litres > 0 && d.date >= away.from && d.date <= away.to);
  const last = plan.days.at(-1)?.date ?? away.from;
  const goesOn = away.to > last && plan.rhythm;
  const amount = (litres: number): string =>
    n === 1 ? format.litres(litres) : `${format.litres(litres * n)} in all, ${format.litres(litres)} a plant`;
  if (days.length === 0 && !goesOn) return <>no water needed by the plan; look at it once.</>;
  return (
    <span className="tabular-nums">
      {days.map((d) => `${format.weekdayAndDay(d.date)}: ${amount(d.litres)}`).join('; ')}
      {goesOn && plan.rhythm && (
        <>
          {days.length > 0 && '; then '}
          {amount(plan.rhythm.litres)}{' '}
          {plan.rhythm.everyDays === 1 ? 'every day' : `every ${plan.rhythm.everyDays} days`}
        </>
      )}
      .
    </span>
  );
}
