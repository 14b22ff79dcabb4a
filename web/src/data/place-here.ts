import type { GardenView, PlaceOnView } from '@candid-leaf/contract';
import type { QueryClient } from '@tanstack/react-query';
import { queryKeys } from '../lib/query-keys';

/** Returns the bed or pot of a record as this device last saw it; undefined if it never did. */
export function placeHere(
  client: QueryClient,
  gardenId: string,
  of: { placeId?: string | null; plantId?: string | null },
): PlaceOnView | undefined {
  for (const [, view] of client.getQueriesData<GardenView>({ queryKey: [...queryKeys.garden(gardenId), 'view'] })) {
    const at = view?.places.find((p) => p.place.id === of.placeId || p.plants.some((x) => x.plant.id === of.plantId));
    if (at) return at;
  }
  return undefined;
}
