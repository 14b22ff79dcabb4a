import type { PlaceOnView } from '@candid-leaf/contract';
import { isPotted } from '@candid-leaf/core/records';
import { LITRES_PER } from '@candid-leaf/core/units';
import { minutesForLitres } from '@candid-leaf/core/water';
import { Droplets, Minus, Plus } from 'lucide-react';
import { Popover } from 'radix-ui';
import { startTransition, useState } from 'react';
import { useFormat, useGarden } from '../../lib/garden-context';
import { Button, buttonLook } from '../../ui/button';
import { useRecordOnce } from './use-record-once';

/** Default amount: the plan's next watering; if none this week, a can per plant. */
const usual = (view: PlaceOnView): number => {
  const planned = view.plants.flatMap((p) => (p.next ? [p.next.litres] : []));
  if (planned.length > 0) return planned.reduce((a, b) => a + b, 0) / planned.length;
  if (!isPotted(view.place)) return 5;
  // a small pot takes no more than it holds
  return Math.min(2, (view.place.volumeL ?? 10) / 4);
};

/** Waters a whole bed in two touches: the first shows the amount, the second records it. */
export function WaterButton({ view }: { view: PlaceOnView }) {
  const { place } = view;
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={(is) => startTransition(() => setOpen(is))}>
      <Popover.Trigger className={buttonLook('quiet')} aria-label={`Water ${place.name}`}>
        <Droplets aria-hidden size={18} /> <span className="@max-[17rem]:hidden">Water</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          className="z-30 w-72 rounded-xl border border-line bg-card p-4 shadow-xl"
          aria-label={`Water ${place.name}`}
        >
          <Amount view={view} onDone={() => setOpen(false)} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The amount per plant, in half steps of the gardener's unit. */
function Amount({ view, onDone }: { view: PlaceOnView; onDone: () => void }) {
  const garden = useGarden();
  const format = useFormat();
  const record = useRecordOnce(garden.id);
  const { place, plants } = view;
  const half = LITRES_PER[garden.units.volume] / 2;
  const step = usual(view) < half ? half / 10 : half;
  const [litres, setLitres] = useState(() => Math.max(step, Math.round(usual(view) / step) * step));
  const write = () => {
    record.write(
      { type: 'watering', placeId: place.id, data: { date: garden.today, litres } },
      `${place.name}: ${format.litres(litres)} per plant.`,
    );
    onDone();
  };
  return (
    <>
      <div className="flex items-center justify-between gap-2">
        <Button aria-label="Less" className="px-3" onClick={() => setLitres((l) => Math.max(step, l - step))}>
          <Minus aria-hidden size={18} />
        </Button>
        <p className="text-center">
          <strong className="text-xl tabular-nums">{format.litres(litres)}</strong>
          <br />
          <span className="text-sm text-soft">per plant</span>
        </p>
        <Button aria-label="More" className="px-3" onClick={() => setLitres((l) => Math.min(200, l + step))}>
          <Plus aria-hidden size={18} />
        </Button>
      </div>
      <p className="my-2 text-center text-sm text-soft">
        {format.litres(litres * plants.length)} in total
        {place.flowLPerH ? `, ${Math.round(minutesForLitres(litres, place.flowLPerH, plants.length))} minutes` : ''}
      </p>
      <Button look="main" className="w-full" onClick={write}>
        Watered today
      </Button>
    </>
  );
}
