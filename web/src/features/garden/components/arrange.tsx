import type { GardenView } from '@candid-leaf/contract';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Sortable } from '../../../ui/sortable';
import { useWrite } from '../../../ui/use-write';
import { orderPlaces } from '../../../data/places';
import { PlantBoard } from './plant-board';

const BY_KEYS = 'With the keyboard: space to lift, arrows to move, space to drop.';

/** Walking order of the beds, and plants in beds: by dragging or keyboard. */
export function Arrange({ places, onDone }: { places: GardenView['places']; onDone: () => void }) {
  const garden = useGarden();
  const order = useWrite(orderPlaces, garden.id);
  return (
    <div className="flex flex-col gap-4">
      {places.length > 1 && (
        <Panel title="Walking order">
          <p className="mb-2 text-soft">Drag beds and pots into the order you walk. {BY_KEYS}</p>
          <Sortable
            items={places.map(({ place }) => ({ id: place.id, label: place.name }))}
            onOrder={(ids) => order.mutate({ ids })}
          />
        </Panel>
      )}
      <Panel title="Plants in their beds and pots">
        <p className="mb-2 text-soft">
          Drag a plant to another bed or pot, or within its own. Its records move with it.
        </p>
        <PlantBoard places={places} />
      </Panel>
      <Button look="main" className="self-start" onClick={onDone}>
        Done
      </Button>
    </div>
  );
}
