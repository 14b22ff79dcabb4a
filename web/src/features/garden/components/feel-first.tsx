import type { PlaceOnView } from '@candid-leaf/contract';
import { SOIL_FEELS, type SoilCheck } from '@candid-leaf/core/records';
import { useGarden } from '../../../lib/garden-context';
import { wordOf } from '../../../lib/words';
import { Button } from '../../../ui/button';
import { useRecordOnce } from '../../records/components/use-record-once';

/** Two knuckles. */
const FINGER_CM = 5;

/** Nobody knows what the plants of this place got: no water is told before a finger was asked, and one touch tells it. */
export function FeelFirst({ view: { place } }: { view: PlaceOnView }) {
  const garden = useGarden();
  const record = useRecordOnce(garden.id);
  const feel = (felt: SoilCheck['feel']): void =>
    record.write(
      { type: 'soil-check', placeId: place.id, data: { date: garden.today, feel: felt, depthCm: FINGER_CM } },
      `${place.name}: soil felt ${felt}.`,
    );
  return (
    <div
      role="group"
      aria-label={`Soil of ${place.name}`}
      className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 rounded-lg bg-leafwash px-3 py-1"
    >
      <span>
        Water <strong>not known: feel the soil</strong>
      </span>
      <span className="flex gap-1">
        {SOIL_FEELS.map((f) => (
          <Button key={f} disabled={record.isPending} onClick={() => feel(f)}>
            {wordOf(f)}
          </Button>
        ))}
      </span>
    </div>
  );
}
