import type { PlantView } from '@candid-leaf/contract';
import { CircleHelp, Flower, Sprout } from 'lucide-react';
import { useState } from 'react';
import { savePlants } from '../../../data/plants';
import { RecordSheet } from '../../../frame/acts/record-sheet';
import { asInput } from '../../../lib/as-input';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { useWrite } from '../../../ui/use-write';

// What a look may note beside signs.

/** Flowers and fruit of one truss, counted while looking. */
export function CountTruss({ plant }: Pick<PlantView, 'plant'>) {
  const garden = useGarden();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Flower aria-hidden size={17} /> Count a truss
      </Button>
      {open && (
        <RecordSheet
          open
          onClose={() => setOpen(false)}
          target={{ plantId: plant.id, placeId: null, name: plant.name }}
          day={garden.today}
          kinds={['truss-count']}
        />
      )}
    </>
  );
}

/** Fruit that is unlike its packet: Today then asks which variety it is, and advice follows the right one. */
export function UnlikePacket({ plant }: Pick<PlantView, 'plant'>) {
  const garden = useGarden();
  const save = useWrite(savePlants, garden.id);
  if (!plant.varietyId || plant.varietyUnsure) return null;
  const unsure = () =>
    save.mutate(
      { plants: [{ ...asInput(plant), varietyUnsure: true }] },
      {
        said: 'Noted. Once its fruit shows colour, Today asks which variety it is.',
        undo: (now) => save.mutate({ plants: [{ ...asInput(plant), version: now[0]?.version ?? plant.version }] }),
      },
    );
  return (
    <Button onClick={unsure} disabled={save.isPending}>
      <CircleHelp aria-hidden size={17} /> Unlike its packet
    </Button>
  );
}

/** Weeds close by: they become a task where plants are young, and count when pests are judged. */
export function NoteWeeds({ plant }: Pick<PlantView, 'plant'>) {
  const garden = useGarden();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Sprout aria-hidden size={17} /> Note weeds
      </Button>
      {open && (
        <RecordSheet
          open
          onClose={() => setOpen(false)}
          target={{ plantId: null, placeId: plant.placeId, name: 'this bed or pot' }}
          day={garden.today}
          kinds={['companion']}
          filled={{ what: 'weeds', did: 'seen' }}
        />
      )}
    </>
  );
}
