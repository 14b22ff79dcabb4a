import type {
  BenchDto,
  BenchInput,
  GardenDto,
  GardenInput,
  GardenView,
  Me,
  NewOrder,
  Outcome,
  PlaceInput,
  PlacePlan,
  PlantInput,
  PlantView,
  RecordDto,
  RecordInput,
  WeatherState,
} from '@candid-leaf/contract';
import type { DisorderCode } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { api } from './api';

/** What the page asks of the server, and what it tells it. Anything told makes what was asked before stale. */

export const useMe = () => useQuery({ queryKey: ['me'], queryFn: () => api<Me>('GET', '/session'), retry: false });
export const useGardens = () => useQuery({ queryKey: ['gardens'], queryFn: () => api<GardenDto[]>('GET', '/gardens') });
export const useGardenView = (gardenId: string) =>
  useQuery({
    queryKey: ['garden', gardenId, 'view'],
    queryFn: () => api<GardenView>('GET', `/gardens/${gardenId}/view`),
  });
export const usePlantView = (gardenId: string, plantId: string) =>
  useQuery({
    queryKey: ['garden', gardenId, 'plant', plantId],
    queryFn: () => api<PlantView>('GET', `/gardens/${gardenId}/plants/${plantId}/view`),
  });
export const usePlaceRecords = (gardenId: string, placeId: string) =>
  useQuery({
    queryKey: ['garden', gardenId, 'records', placeId],
    queryFn: () => api<RecordDto[]>('GET', `/gardens/${gardenId}/records?placeId=${placeId}`),
  });

export const usePlans = (gardenId: string) =>
  useQuery({
    queryKey: ['garden', gardenId, 'plan'],
    queryFn: () => api<PlacePlan[]>('GET', `/gardens/${gardenId}/plan`),
  });
export const usePlacePlan = (gardenId: string, placeId: string) =>
  useQuery({
    queryKey: ['garden', gardenId, 'plan', placeId],
    queryFn: () => api<PlacePlan>('GET', `/gardens/${gardenId}/places/${placeId}/plan`),
  });
export const useBenches = (gardenId: string) =>
  useQuery({
    queryKey: ['garden', gardenId, 'benches'],
    queryFn: () => api<BenchDto[]>('GET', `/gardens/${gardenId}/benches`),
  });

interface Then<R> {
  onSuccess?: (answer: R) => void;
  onError?: (error: Error) => void;
}
type Tell<V, R> = Omit<UseMutationResult<R, Error, V>, 'mutate'> & { mutate: (input: V, then?: Then<R>) => void };

/**
 * A write to one garden. Writes of a garden go one after the other, in the order they were made. What is to be said
 * afterwards is said even if what was touched is gone by then: a task that is done leaves the list.
 */
function useTell<V, R>(gardenId: string, tell: (input: V) => Promise<R>): Tell<V, R> {
  const client = useQueryClient();
  const told = useMutation({
    mutationFn: tell,
    scope: { id: gardenId },
    onSuccess: async () => {
      // the plan follows by itself; nobody need wait for it
      const isPlan = ({ queryKey }: { queryKey: readonly unknown[] }) => queryKey[2] === 'plan';
      void client.invalidateQueries({ queryKey: ['garden', gardenId], predicate: isPlan });
      await Promise.all([
        client.invalidateQueries({ queryKey: ['garden', gardenId], predicate: (q) => !isPlan(q) }),
        client.invalidateQueries({ queryKey: ['gardens'] }),
      ]);
    },
  });
  return {
    ...told,
    mutate: (input, then) =>
      void told.mutateAsync(input).then(
        (answer) => then?.onSuccess?.(answer),
        (error: Error) => then?.onError?.(error),
      ),
  };
}

export const useSaveGarden = (gardenId: string) =>
  useTell(gardenId, (g: GardenInput) => api<GardenDto>('PUT', '/gardens', g));
export const useSavePlace = (gardenId: string) =>
  useTell(gardenId, (p: PlaceInput) => api('PUT', `/gardens/${gardenId}/places`, p));
export const useSavePlant = (gardenId: string) =>
  useTell(gardenId, (p: PlantInput) => api('PUT', `/gardens/${gardenId}/plants`, p));
export const useSaveRecord = (gardenId: string) =>
  useTell(gardenId, (r: RecordInput) => api<RecordDto>('PUT', `/gardens/${gardenId}/records`, r));
export const useDeleteRecord = (gardenId: string) =>
  useTell(gardenId, (id: string) => api('DELETE', `/gardens/${gardenId}/records/${id}`));
export const useRestoreRecord = (gardenId: string) =>
  useTell(gardenId, (id: string) => api('POST', `/gardens/${gardenId}/records/${id}/restore`));
export const useOrderPlaces = (gardenId: string) =>
  useTell(gardenId, (body: NewOrder) => api('POST', `/gardens/${gardenId}/places/order`, body));
export const useOrderPlants = (gardenId: string) =>
  useTell(gardenId, ({ placeId, ids }: NewOrder & { placeId: string }) =>
    api('POST', `/gardens/${gardenId}/places/${placeId}/plants/order`, { ids }),
  );
export const useRetire = (gardenId: string, what: 'places' | 'plants') =>
  useTell(gardenId, ({ id, back }: { id: string; back?: boolean }) =>
    api('POST', `/gardens/${gardenId}/${what}/${id}/${back ? 'restore' : 'retire'}`),
  );
export const usePullWeather = (gardenId: string) =>
  useTell(gardenId, () => api<WeatherState>('POST', `/gardens/${gardenId}/weather/pull`));
export const useGauge = (gardenId: string) =>
  useTell(gardenId, ({ day, rainMm }: { day: Day; rainMm: number | null }) =>
    api('PUT', `/gardens/${gardenId}/weather/${day}/gauge`, { rainMm }),
  );
export const useAccept = (gardenId: string, plantId: string) =>
  useTell(gardenId, (disorder: DisorderCode) =>
    api('POST', `/gardens/${gardenId}/plants/${plantId}/troubles`, { id: uuid(), disorder }),
  );
export const useTimer = (gardenId: string, placeId: string, act: 'send' | 'read') =>
  useTell(gardenId, () => api<PlacePlan>('POST', `/gardens/${gardenId}/places/${placeId}/timer/${act}`));
export const useSaveBench = (gardenId: string) =>
  useTell(gardenId, (b: BenchInput) => api<BenchDto>('PUT', `/gardens/${gardenId}/benches`, b));
export const useDeleteBench = (gardenId: string) =>
  useTell(gardenId, (id: string) => api('DELETE', `/gardens/${gardenId}/benches/${id}`));
export const useOutcome = (gardenId: string) =>
  useTell(gardenId, ({ id, outcome }: { id: string; outcome: Outcome }) =>
    api('POST', `/gardens/${gardenId}/troubles/${id}/outcome`, { outcome }),
  );
export const useTaskDone = (gardenId: string) =>
  useTell(gardenId, ({ key, recordId }: { key: string; recordId: string }) =>
    api<{ recordId: string | null }>('POST', `/gardens/${gardenId}/tasks/${encodeURIComponent(key)}/done`, {
      recordId,
    }),
  );
export const useTaskUndo = (gardenId: string) =>
  useTell(gardenId, ({ key, recordId }: { key: string; recordId?: string }) =>
    api('POST', `/gardens/${gardenId}/tasks/${encodeURIComponent(key)}/undo`, recordId ? { recordId } : {}),
  );
export const useNotToday = (gardenId: string) =>
  useTell(gardenId, (key: string) => api('POST', `/gardens/${gardenId}/tasks/${encodeURIComponent(key)}/not-today`));
