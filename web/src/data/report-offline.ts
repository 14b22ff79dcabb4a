import type { PlantView, RecordDto } from '@candid-leaf/contract';
import type { CaseFile } from '@candid-leaf/core/casefile';
import { observationsOf, RECORD_TYPES } from '@candid-leaf/core/records';
import { DEFAULT_METHOD } from '@candid-leaf/core/water';
import type { QueryClient } from '@tanstack/react-query';
import type { CaseAsked, CaseRead } from '../workers/case.worker';
import { plantCaseQuery, plantViewQuery } from './plants';

/** Returns a case with one more record. Signs of a look replace those of the same day's look. */
function caseWith(file: CaseFile, record: RecordDto): CaseFile {
  const asOf = record.day > file.asOf ? record.day : file.asOf;
  if (record.type === 'inspection') {
    const seen = observationsOf([record.data]);
    const old = file.observations.filter((o) => !seen.some((s) => s.date === o.date && s.sign === o.sign));
    return { ...file, asOf, observations: [...old, ...seen] };
  }
  const { list } = RECORD_TYPES[record.type];
  // a case has no ids for edits, so they wait for the server
  if (list === null || record.version > 1) return { ...file, asOf };
  return { ...file, asOf, records: { ...file.records, [list]: [...file.records[list], record.data] } };
}

/** One per plant at a time: older computations are dropped. */
const running = new Map<string, Worker>();

/** Recomputes a plant's report on this device with waiting records, using the server's core in a worker. */
export function assessHere(client: QueryClient, gardenId: string, plantId: string, record: RecordDto): void {
  const { queryKey: ofCase } = plantCaseQuery(gardenId, plantId);
  const { queryKey: ofView } = plantViewQuery(gardenId, plantId);
  const [before, view] = [client.getQueryData(ofCase), client.getQueryData(ofView)];
  if (!before || !view || typeof Worker === 'undefined') return;
  const file = caseWith(before, record);
  client.setQueryData(ofCase, file);
  running.get(plantId)?.terminate();
  const worker = new Worker(new URL('../workers/case.worker.ts', import.meta.url), { type: 'module' });
  running.set(plantId, worker);
  worker.onmessage = ({ data }: MessageEvent<CaseRead>) => {
    worker.terminate();
    if (data.ok)
      client.setQueryData<PlantView>(ofView, (now) => {
        const { report, prevented, coming } = data;
        return now && { ...now, report, prevented, coming };
      });
  };
  worker.onerror = () => worker.terminate();
  const { units, dateForm } = view.garden;
  worker.postMessage({
    text: JSON.stringify(file),
    units,
    dateForm,
    forecast: forecastOf(view),
    rules: rulesOf(view),
  } satisfies CaseAsked);
}

const forecastOf = (view: PlantView): NonNullable<CaseAsked['forecast']> =>
  view.weather
    .filter((w) => w.kind === 'forecast' && w.day > view.garden.today)
    .map(({ day, tMinC, tMaxC, rainMm, rainChancePct, rhMeanPct, windMs, solarMj, wetHours, nightC }) => ({
      date: day,
      tMinC,
      tMaxC,
      rainMm,
      rainChancePct,
      rhMeanPct,
      windMs,
      solarMj,
      wetHours,
      nightC,
    }));

/** How its bed or pot is watered, as the server reads it; shared limits are left to it. */
const rulesOf = ({ place }: PlantView): NonNullable<CaseAsked['rules']> => ({
  method: place.watering?.method ?? DEFAULT_METHOD,
  irrigation: place.irrigation ?? null,
  moisture: place.watering?.moisture ?? null,
  drierRipening: place.watering?.drierRipening ?? false,
  allowedDays: place.watering?.allowedDays ?? null,
});
