import { SOIL_FEELS, type SoilCheck } from '@candid-leaf/core/records';
import { useGarden } from '../../lib/garden-context';
import { wordOf } from '../../lib/words';
import { Button } from '../../ui/button';
import { useRecordOnce } from './use-record-once';

/** Two knuckles, cm. */
const FINGER_CM = 5;

/** Records a finger check of the soil with one touch. */
export function SoilFeel({
  place,
  said,
}: {
  place: { id: string; name: string };
  said: (felt: SoilCheck['feel']) => string;
}) {
  const garden = useGarden();
  const record = useRecordOnce(garden.id);
  const feel = (felt: SoilCheck['feel']): void =>
    record.write(
      { type: 'soil-check', placeId: place.id, data: { date: garden.today, feel: felt, depthCm: FINGER_CM } },
      said(felt),
    );
  return (
    <div role="group" aria-label={`Soil of ${place.name} at a finger’s depth`} className="flex flex-wrap gap-1">
      {SOIL_FEELS.map((f) => (
        <Button key={f} disabled={record.isPending} onClick={() => feel(f)}>
          {wordOf(f)}
        </Button>
      ))}
    </div>
  );
}
