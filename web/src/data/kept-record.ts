import type { GardenView, PlantView, RecordDto, RecordInput } from '@candid-leaf/contract';
import { makeWatering } from '@candid-leaf/core/water';
import type { QueryClient } from '@tanstack/react-query';
import { queryKeys } from '../lib/query-keys';
import { accountHere } from '../offline/account';
import { placeHere } from './place-here';
import { assessHere } from './report-offline';

type Input = { gardenId: string; record: RecordInput };

/** Returns a record as it will be once synced. */
const recordKept = ({ record }: Input): RecordDto =>
  ({
    ...record,
    version: (record.version ?? 0) + 1,
    plantId: record.plantId ?? null,
    placeId: record.placeId ?? null,
    day: (record.data as { date: string }).date,
    createdAt: new Date().toISOString(),
    by: accountHere() ?? '',
  }) as RecordDto;

/** Converts minutes to litres by the flow this device knows. */
function inLitres(client: QueryClient, gardenId: string, record: RecordDto): RecordDto {
  if (record.type !== 'watering') return record;
  const at = placeHere(client, gardenId, record);
  if (!at) return record;
  const place = { irrigation: at.place.irrigation, flowLPerH: at.place.flowLPerH, plants: at.plants.length };
  return { ...record, data: makeWatering(place, record.data) };
}

const isPlantView = (data: unknown): data is PlantView => typeof data === 'object' && data !== null && 'report' in data;

/** Shows a waiting record where it belongs: on its plants and in the garden's last look. */
export function showRecord(client: QueryClient, input: Input): RecordDto {
  const record = inLitres(client, input.gardenId, recordKept(input));
  const of = queryKeys.garden(input.gardenId);
  client.setQueriesData<unknown>({ queryKey: [...of, 'plant'] }, (old: unknown) =>
    isPlantView(old) && (old.plant.id === record.plantId || old.place.id === record.placeId)
      ? { ...old, records: [record, ...old.records.filter((r) => r.id !== record.id)] }
      : old,
  );
  for (const [, data] of client.getQueriesData({ queryKey: [...of, 'plant'] }))
    if (isPlantView(data) && (data.plant.id === record.plantId || data.place.id === record.placeId))
      assessHere(client, input.gardenId, data.plant.id, record);
  client.setQueriesData<GardenView>({ queryKey: [...of, 'view'] }, (old) => old && withLook(old, record));
  return record;
}

/** Hides a record deleted offline. */
export function hideRecord(client: QueryClient, { gardenId, id }: { gardenId: string; id: string }): void {
  client.setQueriesData<unknown>({ queryKey: [...queryKeys.garden(gardenId), 'plant'] }, (old: unknown) =>
    isPlantView(old) ? { ...old, records: old.records.filter((r) => r.id !== id) } : old,
  );
}

function withLook(view: GardenView, record: RecordDto): GardenView {
  if (record.type !== 'inspection') return view;
  const seen = record.data.signs.filter((x) => x.present).map((x) => x.sign);
  return {
    ...view,
    places: view.places.map((p) => ({
      ...p,
      plants: p.plants.map((x) =>
        x.plant.id === record.plantId
          ? { ...x, lastLook: record.day, seenToday: [...new Set([...x.seenToday, ...seen])] }
          : x,
      ),
    })),
  };
}
