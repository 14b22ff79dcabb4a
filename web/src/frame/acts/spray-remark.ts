import { isRecordOf, type PlantView, type WeatherDto } from '@candid-leaf/contract';
import { isInFlower } from '@candid-leaf/core/pollination';
import { isEnclosed, type Spraying } from '@candid-leaf/core/records';
import { sprayRemark } from '@candid-leaf/core/spray';
import type { Formatter } from '@candid-leaf/core/units';
import type { QueryClient } from '@tanstack/react-query';
import { placeHere } from '../../data/place-here';
import { plantViewQuery } from '../../data/plants';
import type { RecordTarget } from './record-target';

/**
 * Returns what speaks against a spray that was just saved, from what this device has of the plant or bed; empty if
 * nothing does.
 */
export function remarkOnSpray(
  client: QueryClient,
  gardenId: string,
  { target, id, spray }: { target: RecordTarget; id: string; spray: Spraying },
  f: Formatter,
): string {
  const at = placeHere(client, gardenId, target);
  const plants = (at?.plants ?? []).filter((p) => target.plantId === null || p.plant.id === target.plantId);
  const view = target.plantId
    ? client.getQueryData<PlantView>(plantViewQuery(gardenId, target.plantId).queryKey)
    : undefined;
  const ahead = (view?.weather ?? []).map(({ day, ...w }: WeatherDto) => ({ ...w, date: day }));
  return sprayRemark(
    spray,
    {
      ahead,
      enclosed: at ? isEnclosed(at.place) : false,
      flowersOpen: plants.some((p) => isInFlower({ ...p.plant, stage: p.growth.stage })),
      others: view?.records.flatMap((r) => (isRecordOf(r, 'spray') && r.id !== id ? r.data : [])) ?? null,
    },
    f,
  );
}
