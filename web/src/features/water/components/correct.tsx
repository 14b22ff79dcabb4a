import type { PlaceDto, PlacePlanDto, PourDto } from '@candid-leaf/contract';
import { SOIL_FEELS, type SoilCheck } from '@candid-leaf/core/records';
import { Scale } from 'lucide-react';
import { Link } from 'react-router';
import { useGarden, useLink } from '../../../lib/garden-context';
import { wordOf } from '../../../lib/words';
import { Button, buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { percent } from '../../../ui/water-left';
import { useRecordOnce } from '../../records/components/use-record-once';

/** Two knuckles. */
const FINGER_CM = 5;

const driestOf = (p: PlacePlanDto): PourDto | undefined =>
  [...p.pours].sort((a, b) => (a.fractionAvailable ?? 2) - (b.fractionAvailable ?? 2))[0];

/** A finger in the soil moves the plan at once. */
export function Correct({ place, p }: { place: PlaceDto; p: PlacePlanDto }) {
  const garden = useGarden();
  const link = useLink();
  const record = useRecordOnce(garden.id);
  const driest = driestOf(p);
  const plants = p.pours.reduce((sum, pour) => sum + pour.plants.length, 0);
  const feel = (felt: SoilCheck['feel']) =>
    record.write(
      { type: 'soil-check', placeId: place.id, data: { date: garden.today, feel: felt, depthCm: FINGER_CM } },
      `Soil felt ${felt}: the plan follows.`,
    );
  return (
    <Panel label="Correct it with a finger">
      <p>
        {driest?.fractionAvailable == null ? (
          <>Nobody wrote down what it got, so its water is not known.</>
        ) : (
          <>
            By the balance <strong className="tabular-nums">{percent(driest.fractionAvailable)}</strong> is left
            {plants > 1 ? ` at the driest, ${driest.speaker}` : ''}
            {driest.uncertainty != null && `, give or take ${percent(driest.uncertainty)}`}.
          </>
        )}{' '}
        What does a finger say, two knuckles deep?
      </p>
      <div role="group" aria-label="Soil at a finger’s depth" className="mt-2 flex flex-wrap gap-2">
        {SOIL_FEELS.map((f) => (
          <Button key={f} disabled={record.isPending} onClick={() => feel(f)}>
            {wordOf(f)}
          </Button>
        ))}
        <Link className={buttonLook('quiet')} to={link('bench', {}, { place: place.id })}>
          <Scale aria-hidden size={18} /> Try other habits here
        </Link>
      </div>
    </Panel>
  );
}
