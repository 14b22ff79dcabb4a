import type { PlaceDto } from '@candid-leaf/contract';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Sortable } from '../../../ui/sortable';
import { useWrite } from '../../../ui/use-write';
import { orderPlaces } from '../../places/writes';

/** The beds in the order one walks past them: by dragging, or with the keyboard. */
export function PlaceOrder({ places, onDone }: { places: readonly PlaceDto[]; onDone: () => void }) {
  const garden = useGarden();
  const order = useWrite(orderPlaces, garden.id);
  return (
    <Panel label="Walking order">
      <p className="mb-2 text-soft">
        Drag the beds into the order you walk. With the keyboard: space to lift, arrows to move, space to drop.
      </p>
      <Sortable items={places.map((p) => ({ id: p.id, label: p.name }))} onOrder={(ids) => order.mutate({ ids })} />
      <Button look="main" className="mt-3" onClick={onDone}>
        Done
      </Button>
    </Panel>
  );
}
