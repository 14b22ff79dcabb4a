import type { PlantInput } from '@candid-leaf/contract';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../lib/garden-context';
import { useWrite } from '../../ui/use-write';
import { savePlant } from '../../data/plants';

/** Creates several plants in turn. Retrying after a failure duplicates nothing: their ids stay. */
export function useSavePlants() {
  const garden = useGarden();
  const plant = useWrite(savePlant, garden.id);
  const [ids, setIds] = useState<string[]>([]);
  return async (plants: readonly Omit<PlantInput, 'id'>[]): Promise<string[]> => {
    const known = [...ids];
    while (known.length < plants.length) known.push(uuid());
    setIds(known);
    for (const [i, p] of plants.entries()) await plant.send({ plant: { ...p, id: known[i]! } });
    setIds([]);
    return known.slice(0, plants.length);
  };
}
