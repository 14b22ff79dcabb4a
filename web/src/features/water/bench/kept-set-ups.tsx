import type { BenchDto, PlaceDto } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { Save, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { SelectField } from '../../../ui/select-field';
import { useWrite } from '../../../ui/use-write';
import { benchesQuery } from '../../../data/water';
import { deleteBench, saveBench } from '../../../data/water';

type Tried = Pick<BenchDto, 'setUps' | 'weather' | 'years'>;

interface Props {
  place: PlaceDto;
  now: Tried;
  onTake: (tried: Tried) => void;
}

/** Saved set-ups. */
export function KeptSetUps({ place, now, onTake }: Props) {
  const garden = useGarden();
  const benches = useQuery(benchesQuery(garden.id));
  const save = useWrite(saveBench, garden.id);
  const remove = useWrite(deleteBench, garden.id);
  const [name, setName] = useState('');
  const [chosen, setChosen] = useState('');
  const own = (benches.data ?? []).filter((b) => b.placeId === place.id);
  const keep = () =>
    save.mutate(
      { bench: { id: uuid(), placeId: place.id, name: name.trim(), ...now } },
      {
        said: (b) => `Saved: ${b.name}.`,
        onSuccess: (b) => {
          setChosen(b.id);
          setName('');
        },
      },
    );
  const take = (id: string) => {
    setChosen(id);
    const b = own.find((bench) => bench.id === id);
    if (b) onTake({ setUps: b.setUps, weather: b.weather, years: b.years });
  };
  return (
    <>
      {own.length > 0 && (
        <div className="flex items-end gap-1">
          <SelectField
            label="Saved set-ups"
            className="w-52"
            value={chosen}
            options={[['', 'choose'], ...own.map((b): [string, string] => [b.id, b.name])]}
            onChange={take}
          />
          {chosen && (
            <Button
              look="quiet"
              className="px-3"
              aria-label="Delete this set-up"
              onClick={() => remove.mutate({ id: chosen }, { said: 'Deleted.', onSuccess: () => setChosen('') })}
            >
              <Trash2 aria-hidden size={18} />
            </Button>
          )}
        </div>
      )}
      <div className="flex items-end gap-1">
        <TextField
          label="Save as"
          className="w-44"
          value={name}
          maxLength={80}
          onChange={(e) => setName(e.target.value)}
        />
        <Button disabled={name.trim() === '' || save.isPending} onClick={keep}>
          <Save aria-hidden size={17} /> Save
        </Button>
      </div>
    </>
  );
}
