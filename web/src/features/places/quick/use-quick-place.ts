import type { GardenView } from '@candid-leaf/contract';
import type { Crop } from '@candid-leaf/core/records';
import { useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { faultsIn } from '../../../ui/faults';
import { useWrite } from '../../../ui/use-write';
import { savePlant } from '../../plant/writes';
import { savePlace } from '../writes';
import { freeName, numbered, placeOf, PRESETS, type PresetCode } from './presets';

export interface Wanted {
  preset: PresetCode;
  crop: Crop;
  count: number;
  apartM: number;
  /** of each pot, where it was told */
  volumeL?: number | undefined;
}

/** Makes a place and the plants in it in one go. Sent again after a failure it makes none of them twice: the ids stay. */
export function useQuickPlace({ garden, places }: GardenView) {
  const ids = useRef({ place: uuid(), plants: [] as string[] });
  const place = useWrite(savePlace, garden.id);
  const plant = useWrite(savePlant, garden.id);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [making, setMaking] = useState(false);
  const make = async ({ preset, crop, count, apartM, volumeL }: Wanted): Promise<string[] | null> => {
    const names = places.flatMap((p) => p.plants.map((x) => x.plant.name));
    const name = freeName(
      PRESETS[preset].label,
      places.map((p) => p.place.name),
    );
    const { current } = ids;
    while (current.plants.length < count) current.plants.push(uuid());
    setMaking(true);
    setTrouble(null);
    try {
      await place.send({ place: placeOf(preset, current.place, name, { plants: count, apartM, volumeL }) });
      for (const [i, called] of numbered(crop, count, names).entries())
        await plant.send({
          plant: { id: current.plants[i]!, placeId: current.place, name: called, crop, spacingM: apartM },
        });
      const made = current.plants.slice(0, count);
      ids.current = { place: uuid(), plants: [] };
      return made;
    } catch (error) {
      setTrouble(faultsIn(error as Error)[0]?.reason ?? 'It could not be made.');
      return null;
    } finally {
      setMaking(false);
    }
  };
  return { make, making, trouble };
}
