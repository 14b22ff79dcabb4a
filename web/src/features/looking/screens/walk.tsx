import { signRow } from '@candid-leaf/core/records';
import { Check, CircleDot, Footprints } from 'lucide-react';
import { Link, Navigate, useParams } from 'react-router';
import type { GardenView } from '@candid-leaf/contract';
import { asGrown } from '../../../lib/plant-now';
import { useLink } from '../../../lib/garden-context';
import { PlantDrawing } from '../../../signs/plant/plant-drawing';
import { buttonLook } from '../../../ui/button';
import { GardenPage } from '../../../frame/garden-page';
import { PART_WORDS } from '../../../signs/plant/touch-plant';
import { walkOf } from '../walk-of';
import { walkPlan } from '../walk-plan';

/** A walk along a bed. Interrupted, it continues at the first plant not yet looked over. */
export function WalkScreen() {
  const { placeId = '' } = useParams();
  return (
    <GardenPage needs="record" title={(v) => `Look over: ${walkPlan(v, placeId)?.place.place.name ?? 'the bed'}`}>
      {(view) => <Walk view={view} />}
    </GardenPage>
  );
}

function Walk({ view }: { view: GardenView }) {
  const { placeId = '' } = useParams();
  const link = useLink();
  const plan = walkPlan(view, placeId);
  if (!plan) return <Navigate to={link('garden', {})} replace />;
  const done = plan.plants.filter(plan.looked).length;
  const next = plan.next();
  const walk = walkOf(view, placeId);
  const to = (plantId: string) => link('look', { plantId }, { walk: '1' });
  return (
    <>
      <p className="max-w-prose text-soft">
        {done === 0
          ? 'Plant by plant, from the soil up. If all is well, touch “All clear”.'
          : next
            ? `${done} of ${plan.plants.length} looked over today.`
            : `All ${plan.plants.length} looked over today.`}
      </p>
      {walk && (
        <p className="mt-2 max-w-prose">
          <strong>Why now:</strong> {walk.why.join('; ')}. <strong>Look first at</strong>{' '}
          {walk.parts.map((p) => PART_WORDS[p].toLowerCase()).join(', ')}
          {walk.undersides ? ', and turn the leaves over.' : '.'}
        </p>
      )}
      <div className="mt-4 flex flex-wrap gap-2">
        {next && (
          <Link className={buttonLook('main')} to={to(next.plant.id)}>
            <Footprints aria-hidden size={18} /> {done === 0 ? 'Start with' : 'Continue with'} {next.plant.name}
          </Link>
        )}
        <Link className={buttonLook(next ? 'quiet' : 'main')} to={link('garden', {})}>
          Back to the garden
        </Link>
      </div>
      <ol className="mt-5 grid gap-2 sm:grid-cols-2 lg:grid-cols-4">
        {plan.plants.map((p) => (
          <li key={p.plant.id}>
            <Link
              to={to(p.plant.id)}
              className="flex items-center gap-3 rounded-xl border border-line bg-card p-3 hover:bg-leafwash"
            >
              <PlantDrawing plant={asGrown(p)} className="w-14 shrink-0" />
              <span>
                <span className="block font-semibold text-leaf">{p.plant.name}</span>
                {plan.looked(p) ? (
                  p.seenToday.length === 0 ? (
                    <span className="flex items-center gap-1">
                      <Check aria-hidden size={16} /> all clear
                    </span>
                  ) : (
                    <span className="flex items-start gap-1 text-ripe">
                      <CircleDot aria-hidden size={16} className="mt-1 shrink-0" />
                      {p.seenToday.map((s) => signRow(s).label.toLowerCase()).join(', ')}
                    </span>
                  )
                ) : (
                  <span className="text-soft">not looked over yet</span>
                )}
              </span>
            </Link>
          </li>
        ))}
      </ol>
    </>
  );
}
