import type { GardenView } from '@candid-leaf/contract';
import type { Crop } from '@candid-leaf/core/records';
import { useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { faultsIn } from '../../ui/faults';
import { CROP_WORDS, freeName, numbered, plantNames } from '../../lib/plant-names';
import { type Age, plantedAs } from './age';
import { useSavePlants } from './use-save-plants';
import { placeOf, PRESETS, type PresetCode } from './presets';

interface Wanted {
  preset: PresetCode;
  crop: Crop;
  /** unknown if left out */
  age?: Age;
  count: number;
  apartM: number;
  /** per pot, if given */
  volumeL?: number | undefined;
}

/** Creates a bed and its plants together. Retrying after a failure duplicates nothing: the ids stay. */
export function useQuickPlace(view: GardenView) {
  const { garden, places } = view;
  const id = useRef(uuid());
  const savePlants = useSavePlants();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [making, setMaking] = useState(false);
  const make = async ({ preset, crop, age, count, apartM, volumeL }: Wanted): Promise<string[] | null> => {
    const name = freeName(
      PRESETS[preset].label,
      places.map((p) => p.place.name),
    );
    setMaking(true);
    setTrouble(null);
    try {
      const made = await savePlants(
        numbered(CROP_WORDS[crop], count, plantNames(view)).map((called) => ({
          placeId: id.current,
          name: called,
          crop,
          spacingM: apartM,
          ...(age ? plantedAs(age, garden, crop) : {}),
        })),
        { place: placeOf(preset, id.current, name, { plants: count, apartM, volumeL }) },
      );
      id.current = uuid();
      return made;
    } catch (error) {
      setTrouble(faultsIn(error as Error)[0]?.reason ?? 'Could not create it.');
      return null;
    } finally {
      setMaking(false);
    }
  };
  return { make, making, trouble };
}
