import type { TaskDto } from '@candid-leaf/contract';
import { ShoppingBasket } from 'lucide-react';
import { useState } from 'react';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { RecordSheet } from '../../../frame/acts/record-sheet';

/** Records picked fruit, plant by plant. */
export function Picks({ task }: { task: TaskDto }) {
  const garden = useGarden();
  const [plantId, setPlantId] = useState<string | null>(null);
  const names = task.where.split(', ');
  const plants = (task.plantIds ?? []).map((id, i) => ({ id, name: names[i] ?? '' }));
  const open = plants.find((p) => p.id === plantId);
  return (
    <span className="ml-2 flex flex-wrap gap-1">
      {plants.map((p) => (
        <Button key={p.id} onClick={() => setPlantId(p.id)} aria-label={`Pick: ${p.name}`}>
          <ShoppingBasket aria-hidden size={17} /> {p.name}
        </Button>
      ))}
      {open && (
        <RecordSheet
          open
          onClose={() => setPlantId(null)}
          target={{ plantId: open.id, placeId: null, name: open.name }}
          day={garden.today}
          kinds={['picking']}
        />
      )}
    </span>
  );
}
