import type { GardenView } from '@candid-leaf/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { plantCaseQuery, plantViewQuery } from '../../data/plants';

/** Most plants stored for offline use, and their maximum age. */
const MOST = 60;
const FRESH_MS = 6 * 3600 * 1000;

/** Prefetches the garden's plants one by one while idle, so they open offline. Only if the page itself is cached. */
export function useKeptPlants(view: GardenView): void {
  const client = useQueryClient();
  const { id } = view.garden;
  const plants = view.places
    .flatMap((p) => p.plants.map((x) => x.plant.id))
    .slice(0, MOST)
    .join(' ');
  useEffect(() => {
    if (!('serviceWorker' in navigator) || !navigator.serviceWorker.controller) return;
    let here = true;
    const keep = async (): Promise<void> => {
      for (const plant of plants.split(' ').filter(Boolean)) {
        if (!here) return;
        await client.prefetchQuery({ ...plantViewQuery(id, plant), staleTime: FRESH_MS });
        await client.prefetchQuery({ ...plantCaseQuery(id, plant), staleTime: FRESH_MS });
      }
    };
    void keep();
    return () => {
      here = false;
    };
  }, [client, id, plants]);
}
