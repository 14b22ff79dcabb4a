import type { PlaceDto, PlacePlanDto } from '@candid-leaf/contract';
import { whatIfInWords } from '@candid-leaf/core/water';
import { useQuery } from '@tanstack/react-query';
import { Scale } from 'lucide-react';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink } from '../lib/garden-context';
import { buttonLook } from '../ui/button';
import { Panel } from '../ui/panel';
import { Unfold } from '../ui/unfold';
import { Evenness } from '../ui/evenness';
import { plansQuery } from '../data/water';

/** Which beds swing and which are due first, with what-ifs; most worrying first. */
export function Steadiness({ places }: { places: readonly PlaceDto[] }) {
  const garden = useGarden();
  const link = useLink();
  const plans = useQuery(plansQuery(garden.id)).data ?? [];
  const known = plans
    .filter((p) => p.pours.some((pour) => pour.fractionAvailable !== null))
    .sort((a, b) => (a.dueInDays ?? 9) - (b.dueInDays ?? 9) || (a.evenness ?? 1) - (b.evenness ?? 1));
  if (known.length === 0) return null;
  return (
    <Panel label="How steady the water is">
      <Unfold look="head" title="How steady the water is">
        {() => (
          <>
            <ul className="mt-1 divide-y divide-line">
              {known.map((p) => (
                <Line key={p.placeId} plan={p} name={places.find((place) => place.id === p.placeId)?.name ?? ''} />
              ))}
            </ul>
            <Link className={`${buttonLook('quiet')} -ml-3`} to={link('bench', {})}>
              <Scale aria-hidden size={18} /> Compare watering methods
            </Link>
          </>
        )}
      </Unfold>
    </Panel>
  );
}

const due = (days: number): string => {
  if (days === 0) return ', due today';
  return `, due in ${days} ${days === 1 ? 'day' : 'days'}`;
};

function Line({ plan, name }: { plan: PlacePlanDto; name: string }) {
  const link = useLink();
  const format = useFormat();
  const [change] = plan.whatIf;
  return (
    <li className="py-2">
      <Link
        className="inline-block py-0.5 font-semibold text-leaf underline"
        to={link('placePlan', { placeId: plan.placeId })}
      >
        {name}
      </Link>
      <span className="tabular-nums">
        {plan.evenness !== null && (
          <>
            : <Evenness of={plan.evenness} />
          </>
        )}
        {plan.dueInDays !== null && due(plan.dueInDays)}
      </span>
      {change && plan.now && (
        <p className="text-sm text-soft tabular-nums">{whatIfInWords(plan.now, change, format)}</p>
      )}
    </li>
  );
}
