import type { PlaceDto, PlacePlanDto, PourDto } from '@candid-leaf/contract';
import { Scale } from 'lucide-react';
import { Link } from 'react-router';
import { useLink } from '../../../lib/garden-context';
import { buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { percent } from '../../../ui/water-left';
import { SoilFeel } from '../../../frame/acts/soil-feel';

const driestOf = (p: PlacePlanDto): PourDto | undefined =>
  [...p.pours].sort((a, b) => (a.fractionAvailable ?? 2) - (b.fractionAvailable ?? 2))[0];

/** A finger check updates the plan at once. */
export function Correct({ place, p }: { place: PlaceDto; p: PlacePlanDto }) {
  const link = useLink();
  const driest = driestOf(p);
  return (
    <Panel label="Check the soil">
      <p>
        {driest?.fractionAvailable == null ? (
          <>No watering is recorded, so its water is unknown.</>
        ) : (
          <>
            {p.pours.length > 1 && `${driest.speaker}, the driest: `}
            {p.pours.length > 1 ? 'about' : 'About'}{' '}
            <strong className="tabular-nums">{percent(driest.fractionAvailable)}</strong> left
            {driest.uncertainty != null && `, give or take ${percent(driest.uncertainty)}`}.
          </>
        )}{' '}
        What does a finger say, two knuckles deep?
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <SoilFeel place={place} said={(felt) => `Recorded: the soil felt ${felt}. The plan follows.`} />
        <Link className={buttonLook('quiet')} to={link('bench', {}, { place: place.id })}>
          <Scale aria-hidden size={18} /> Compare watering methods
        </Link>
      </div>
      {p.order.map((line) => (
        <p key={line} className="mt-2 text-sm text-soft">
          {line}
        </p>
      ))}
    </Panel>
  );
}
