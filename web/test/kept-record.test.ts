import type { RecordDto } from '@candid-leaf/contract';
import { QueryClient } from '@tanstack/react-query';
import { showRecord } from '../src/data/kept-record';
import { queryKeys } from '../src/lib/query-keys';

const garden = queryKeys.garden('g');
const plantView = [...garden, 'plant', 'p', 'view'];

/** A device that has seen a drip bed of three plants, of this flow, and the page of one of them. */
function device(flowLPerH: number | null): QueryClient {
  const client = new QueryClient();
  const place = { id: 'bed', irrigation: 'drip', flowLPerH };
  const plants = ['p', 'q', 'r'].map((id) => ({ plant: { id }, seenToday: [] }));
  client.setQueryData([...garden, 'view'], { places: [{ place, plants }] });
  client.setQueryData(plantView, { report: {}, plant: { id: 'p' }, place: { id: 'bed' }, records: [] });
  return client;
}
const recordsOn = (client: QueryClient) => client.getQueryData<{ records: RecordDto[] }>(plantView)!.records;
const run = (of: object) => ({
  gardenId: 'g',
  record: { id: 'w', type: 'watering' as const, data: { date: '2026-07-18', minutes: 20 }, ...of },
});

test('minutes waiting to sync are shown as the litres that the server will compute', () => {
  // 20 minutes of 18 L an hour are 6 L, 2 L for each of three
  for (const target of [{ placeId: 'bed' }, { plantId: 'p' }]) {
    const client = device(18);
    showRecord(client, run(target));
    expect(recordsOn(client).map((r) => r.data)).toEqual([{ date: '2026-07-18', litres: 2, minutes: 20, how: 'drip' }]);
  }
});

test('without a known flow they are shown with the amount unknown: nothing is invented', () => {
  const client = device(null);
  showRecord(client, run({ placeId: 'bed' }));
  expect(recordsOn(client).map((r) => r.data)).toEqual([{ date: '2026-07-18', minutes: 20, how: 'drip' }]);
});
