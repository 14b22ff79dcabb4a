import type { PlaceDto, PlacePlan } from '@candid-leaf/contract';
import { Scale } from 'lucide-react';
import { Link } from 'react-router';
import { useGarden } from '../../data/garden-context';
import { usePlans } from '../../data/queries';
import { buttonLook } from '../../parts/button';

/** Which places swing and which dry first, and what would change it; the most worrying first. */
export function Steadiness({ places }: { places: readonly PlaceDto[] }) {
  const garden = useGarden();
  const plans = usePlans(garden.id);
  if (!plans.data) return null;
  const told = plans.data
    .filter((p) => p.fractionAvailable !== null)
    .sort((a, b) => (a.dryInDays ?? 9) - (b.dryInDays ?? 9) || (a.evenness ?? 1) - (b.evenness ?? 1));
  if (told.length === 0) return null;
  return (
    <section aria-labelledby="steadiness" className="mt-4 rounded-2xl border border-line bg-card p-4">
      <h2 id="steadiness" className="text-xl">
        How steady the water is
      </h2>
      <ul className="mt-1 divide-y divide-line">
        {told.map((p) => (
          <Line key={p.placeId} plan={p} name={places.find((x) => x.id === p.placeId)?.name ?? ''} />
        ))}
      </ul>
      <Link className={`${buttonLook('quiet')} -ml-3`} to={`/gardens/${garden.id}/bench`}>
        <Scale aria-hidden size={18} /> Try habits side by side
      </Link>
    </section>
  );
}

const swing = (evenness: number): string => (evenness >= 0.7 ? 'steady' : evenness >= 0.45 ? 'uneven' : 'swings hard');

function Line({ plan, name }: { plan: PlacePlan; name: string }) {
  const garden = useGarden();
  const change = plan.whatIf[0];
  return (
    <li className="py-2">
      <Link
        className="inline-block py-0.5 font-semibold text-leaf underline"
        to={`/gardens/${garden.id}/places/${plan.placeId}/plan`}
      >
        {name}
      </Link>
      <span className="tabular-nums">
        {plan.evenness !== null && `: ${swing(plan.evenness)} (${plan.evenness.toFixed(2)})`}
        {plan.dryInDays !== null &&
          (plan.dryInDays === 0 ? ', due now' : `, due in ${plan.dryInDays} ${plan.dryInDays === 1 ? 'day' : 'days'}`)}
      </span>
      {change && plan.now && (
        <p className="text-sm text-soft tabular-nums">
          {change.what === 'mulch' ? 'With mulch' : `In ${showLitres(change.size, garden.units)}`}: water every{' '}
          {change.daysBetween} days instead of {plan.now.daysBetween}, {showLitres(change.litresPerWeek, garden.units)}{' '}
          a week instead of {showLitres(plan.now.litresPerWeek, garden.units)}.
        </p>
      )}
    </li>
  );
}
