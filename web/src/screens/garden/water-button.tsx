import type { PlaceOnView } from '@candid-leaf/contract';
import { LITRES_PER } from '@candid-leaf/core/units';
import { minutesForLitres } from '@candid-leaf/core/water';
import { Droplets, Minus, Plus } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../data/garden-context';
import { useDeleteRecord, useSaveRecord } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { useSay } from '../../parts/toast';

/** What a watering here usually is where the balance asks for none: about a third of what is asked for at need. */
const usual = (view: PlaceOnView): number => {
  const wanted = view.plants.flatMap((p) => (p.next ? [p.next.litres] : []));
  return wanted.length > 0
    ? wanted.reduce((a, b) => a + b, 0) / wanted.length
    : view.place.kind === 'container'
      ? 2
      : 5;
};

/** A watering of a whole place in two touches: the first shows the amount, the second records it. */
export function WaterButton({ view }: { view: PlaceOnView }) {
  const garden = useGarden();
  const say = useSay();
  const save = useSaveRecord(garden.id);
  const remove = useDeleteRecord(garden.id);
  const [open, setOpen] = useState(false);
  const [litres, setLitres] = useState(() => Math.round(usual(view) * 2) / 2 || 0.5);
  const { place, plants } = view;
  const step = LITRES_PER[garden.units.volume] / 2;
  const record = () => {
    const id = uuid();
    setOpen(false);
    save.mutate(
      { id, type: 'watering', placeId: place.id, data: { date: garden.today, litres, how: 'base' } },
      {
        onSuccess: () =>
          say(`${place.name}: ${showLitres(litres, garden.units)} for each plant.`, { undo: () => remove.mutate(id) }),
        onError: (e) => say(e.message, { bad: true }),
      },
    );
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className={buttonLook('quiet')} aria-label={`Water ${place.name}`}>
        <Droplets aria-hidden size={18} /> Water
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          className="z-30 w-72 rounded-xl border border-line bg-card p-4 shadow-xl"
          aria-label={`Water ${place.name}`}
        >
          <div className="flex items-center justify-between gap-2">
            <Button aria-label="Less" className="px-3" onClick={() => setLitres((l) => Math.max(step, l - step))}>
              <Minus aria-hidden size={18} />
            </Button>
            <p className="text-center">
              <strong className="text-xl tabular-nums">{showLitres(litres, garden.units)}</strong>
              <br />
              <span className="text-sm text-soft">for each plant</span>
            </p>
            <Button aria-label="More" className="px-3" onClick={() => setLitres((l) => Math.min(200, l + step))}>
              <Plus aria-hidden size={18} />
            </Button>
          </div>
          <p className="my-2 text-center text-sm text-soft">
            {showLitres(litres * plants.length, garden.units)} in all
            {place.flowLPerH ? `, ${Math.round(minutesForLitres(litres, place.flowLPerH, plants.length))} minutes` : ''}
          </p>
          <Button look="main" className="w-full" onClick={record}>
            Watered today
          </Button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
