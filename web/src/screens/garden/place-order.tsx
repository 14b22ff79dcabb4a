import type { PlaceDto } from '@candid-leaf/contract';
import { useGarden } from '../../data/garden-context';
import { useOrderPlaces } from '../../data/queries';
import { Button } from '../../parts/button';
import { Sortable } from '../../parts/sortable';

/** The beds in the order one walks past them: by dragging, or with the keyboard. */
export function PlaceOrder({ places, onDone }: { places: readonly PlaceDto[]; onDone: () => void }) {
  const garden = useGarden();
  const order = useOrderPlaces(garden.id);
  return (
    <section aria-label="Walking order" className="rounded-2xl border border-line bg-card p-4">
      <p className="mb-2 text-soft">
        Drag the beds into the order you walk. With the keyboard: space to lift, arrows to move, space to drop.
      </p>
      <Sortable items={places.map((p) => ({ id: p.id, label: p.name }))} onOrder={(ids) => order.mutate({ ids })} />
      <Button look="main" className="mt-3" onClick={onDone}>
        Done
      </Button>
    </section>
  );
}
