import type { PlaceOnView } from '@candid-leaf/contract';
import { isPotted } from '@candid-leaf/core/records';
import { LITRES_PER, roundTo } from '@candid-leaf/core/units';
import { minutesForLitres } from '@candid-leaf/core/water';
import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import { useFormat, useGarden } from '../../lib/garden-context';
import { Button } from '../../ui/button';
import { pourStep } from './pour-step';
import { useRecordOnce } from './use-record-once';

/** Default amount: the plan's next watering; if none this week, a can per plant. */
const usual = (view: PlaceOnView): number => {
  const planned = view.plants.flatMap((p) => (p.next ? [p.next.litres] : []));
  if (planned.length > 0) return planned.reduce((a, b) => a + b, 0) / planned.length;
  if (!isPotted(view.place)) return 5;
  // a small pot takes no more than it holds
  return Math.min(2, (view.place.volumeL ?? 10) / 4);
};

/** The amount for all its plants, in steps one can pour; until it ran out, or an amount unknown, in one touch. */
export function WaterButtonAmount({ view, onDone }: { view: PlaceOnView; onDone: () => void }) {
  const garden = useGarden();
  const format = useFormat();
  const record = useRecordOnce(garden.id);
  const { place, plants } = view;
  const count = Math.max(1, plants.length);
  const unit = LITRES_PER[garden.units.volume];
  const start = usual(view) * count;
  const step = pourStep(start, unit);
  const [all, setAll] = useState(() => Math.max(step, Math.round(start / step) * step));
  const litres = roundTo(all / count, 3);
  const write = (how: { litres?: number; end?: 'ran-through' }, said: string) => {
    record.write(
      { type: 'watering', placeId: place.id, data: { date: garden.today, ...how } },
      `${place.name}: ${said}.`,
    );
    onDone();
  };
  return (
    <>
      <div className="flex items-center justify-between gap-2">
        <Button aria-label="Less" className="px-3" onClick={() => setAll((l) => Math.max(step, l - step))}>
          <Minus aria-hidden size={18} />
        </Button>
        <p className="text-center">
          <strong className="text-xl tabular-nums">{format.litres(all)}</strong>
          {count > 1 && (
            <>
              <br />
              <span className="text-sm text-soft tabular-nums">{format.litres(litres)} each</span>
            </>
          )}
        </p>
        <Button aria-label="More" className="px-3" onClick={() => setAll((l) => Math.min(200 * count, l + step))}>
          <Plus aria-hidden size={18} />
        </Button>
      </div>
      {place.flowLPerH ? (
        <p className="mt-1 text-center text-sm text-soft">
          {Math.round(minutesForLitres(litres, place.flowLPerH, count))} minutes
        </p>
      ) : null}
      <Button look="main" className="mt-2 w-full" onClick={() => write({ litres }, format.litres(all))}>
        Watered today
      </Button>
      <div className="mt-1 grid grid-cols-2 gap-1 text-sm">
        <Button look="quiet" onClick={() => write({ end: 'ran-through' }, 'watered until it ran out below')}>
          Until it ran out
        </Button>
        <Button look="quiet" onClick={() => write({}, 'watered, amount unknown')}>
          Amount unknown
        </Button>
      </div>
    </>
  );
}
