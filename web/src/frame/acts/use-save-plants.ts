import type { PlaceInput, PlantInput } from '@candid-leaf/contract';
import { useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../lib/garden-context';
import { useWrite } from '../../ui/use-write';
import { savePlants } from '../../data/plants';

/**
 * Creates the plants of a form in one request, with their new bed if there is one. Retrying after a failure duplicates
 * nothing: their ids stay.
 */
export function useSavePlants() {
  const garden = useGarden();
  const { send } = useWrite(savePlants, garden.id);
  const ids = useRef<string[]>([]);
  return async (plants: readonly Omit<PlantInput, 'id'>[], also: { place?: PlaceInput } = {}): Promise<string[]> => {
    while (ids.current.length < plants.length) ids.current.push(uuid());
    const made = ids.current.slice(0, plants.length);
    await send({ plants: plants.map((p, i) => ({ ...p, id: made[i]! })), ...also });
    ids.current = [];
    return made;
  };
}

/** Returns the form's field for a fault's path: `plants.0.name` is `name`. */
export const fieldOfOne = (path: string): string => path.replace(/^(?:place|plants\.\d+)\./, '');
