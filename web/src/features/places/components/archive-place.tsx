import type { GardenView, PlaceDto, PlaceRetired, PlaceRetiredDto } from '@candid-leaf/contract';
import { useState } from 'react';
import { restorePlace, retirePlace } from '../../../data/places';
import { restorePlant } from '../../../data/plants';
import { useGarden, useLink } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { PickOne } from '../../../ui/pick-one';
import { Sheet } from '../../../ui/sheet';
import { useWayOn } from '../../../ui/use-way-on';
import { useWrite } from '../../../ui/use-write';

/** The plants end with their bed. */
const END = 'end';

/** Archives a bed or pot; asks first where the plants go that stand in it. Nothing recorded is lost. */
export function ArchivePlace({ place, all }: { place: PlaceDto; all: GardenView }) {
  const garden = useGarden();
  const link = useLink();
  const goOn = useWayOn();
  const out = useWrite(retirePlace, garden.id);
  const back = useWrite(restorePlace, garden.id);
  const plantBack = useWrite(restorePlant, garden.id);
  const [asked, setAsked] = useState(false);
  const [to, setTo] = useState(END);
  const { id, name } = place;
  const standing = all.places.find((p) => p.place.id === id)?.plants.length ?? 0;
  const others = all.places.filter((p) => p.place.id !== id).map((p) => p.place);
  const restore = ({ ended }: PlaceRetiredDto): void => {
    back.mutate({ id });
    for (const plant of ended) plantBack.mutate({ id: plant });
  };
  const archive = (plants: PlaceRetired): void => {
    setAsked(false);
    const said = plants.plants === 'move' ? 'was archived; its plants moved.' : 'was archived; its records are kept.';
    out.mutate(
      { id, ...plants },
      {
        said: `${name} ${said}`,
        // plants that moved are wanted where they are now
        ...(plants.plants === 'move' ? {} : { undo: restore }),
        onSuccess: () => void goOn(link('garden', {})),
      },
    );
  };
  return (
    <>
      <Button look="quiet" className="ml-auto" onClick={() => (standing > 0 ? setAsked(true) : archive({}))}>
        Archive
      </Button>
      <Sheet open={asked} onClose={() => setAsked(false)} title={`Archive ${name}?`}>
        <PickOne
          label={standing === 1 ? 'A plant still stands here.' : `${standing} plants still stand here.`}
          value={to}
          onChange={setTo}
          className="max-h-80 overflow-y-auto"
          options={[
            { value: END, label: standing === 1 ? 'Archive it too' : 'Archive them too' },
            ...others.map((o) => ({ value: o.id, label: `Move ${standing === 1 ? 'it' : 'them'} to ${o.name}` })),
          ]}
        />
        <div className="mt-4 flex flex-wrap gap-2">
          <Button
            look="main"
            onClick={() => archive(to === END ? { plants: 'end' } : { plants: 'move', toPlaceId: to })}
          >
            Archive {name}
          </Button>
          <Button look="quiet" onClick={() => setAsked(false)}>
            Cancel
          </Button>
        </div>
      </Sheet>
    </>
  );
}
