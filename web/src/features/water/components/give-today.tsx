import type { PlaceDto } from '@candid-leaf/contract';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { doTask, undoTask } from '../../../data/tasks';
import { RecordSheet } from '../../../frame/acts/record-sheet';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { useWrite } from '../../../ui/use-write';
import type { PlaceDay } from '../week-of';

/** Ticks today's watering: the same task as in Today. */
export function GiveToday({ d, place }: { d: PlaceDay; place: PlaceDto }) {
  const garden = useGarden();
  const format = useFormat();
  const done = useWrite(doTask, garden.id);
  const undo = useWrite(undoTask, garden.id);
  const [other, setOther] = useState(false);
  const tick = () => {
    for (const { pour, day, litres } of d.pours) {
      if (day.litres === 0) continue;
      const key = `water:${pour.id}`;
      const name = pour.id === place.id ? place.name : pour.speaker;
      done.mutate(
        { key, at: new Date().toISOString(), recordId: uuid() },
        {
          said: `${name}: ${format.litres(litres)} saved.`,
          undo: ({ recordId }) => undo.mutate({ key, recordId }),
        },
      );
    }
  };
  return (
    <div className="mt-2 flex flex-wrap gap-1">
      <Button look="main" disabled={done.isPending} onClick={tick}>
        <Check aria-hidden size={18} /> Done
      </Button>
      <Button look="quiet" onClick={() => setOther(true)}>
        Other amount
      </Button>
      {other && (
        <RecordSheet
          open
          onClose={() => setOther(false)}
          target={{ plantId: null, placeId: place.id, name: place.name }}
          day={d.date}
          kinds={['watering']}
        />
      )}
    </div>
  );
}
