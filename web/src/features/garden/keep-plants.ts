import type { GardenView } from '@candid-leaf/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { plantCaseQuery, plantViewQuery } from '../plant/queries';

/** So many plants are kept for when there is no signal, each as it was at most so long ago. */
const MOST = 60;
const FRESH_MS = 6 * 3600 * 1000;

/**
 * Fetches the plants of a garden one after the other while nothing else is asked, so that they can be opened in the garden without signal. Only
 * where the page itself is kept on the device.
 */
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
