import type { GardenView, PlacePlanDto, PlantView, RecordInput } from '@candid-leaf/contract';
import type { RecordType } from '@candid-leaf/core/records';
import { v7 as uuid } from 'uuid';
import { gardener, type App } from './app.js';

/** A gardener at work: what they do to their garden, and what they see. */
export async function gardenOf(app: App) {
  const g = await gardener(app);
  const ok = async <T>(path: string): Promise<T> => (await g.agent.get(g.url(path)).expect(200)).body as T;
  return {
    ...g,
    place: async (facts: object): Promise<string> => {
      const id = uuid();
      await g.agent
        .put(g.url('/places'))
        .send({ id, name: 'Bed', kind: 'ground', texture: 'loam', lengthM: 1, widthM: 0.5, ...facts })
        .expect(200);
      return id;
    },
    changePlace: async (id: string, facts: object): Promise<void> => {
      const { places } = await ok<GardenView>('/view');
      const { position: _p, retiredOn: _r, ...before } = places.find((p) => p.place.id === id)!.place;
      await g.agent
        .put(g.url('/places'))
        .send({ ...before, ...facts })
        .expect(200);
    },
    plant: async (placeId: string, facts: object = {}): Promise<string> => {
      const id = uuid();
      await g.agent
        .put(g.url('/plants'))
        .send({
          id,
          placeId,
          name: 'Plant',
          crop: 'tomato',
          stage: 'fruiting',
          transplantedOn: '2026-05-10',
          heightM: 1.1,
          ...facts,
        })
        .expect(200);
      return id;
    },
    record: async (type: RecordType, of: Pick<RecordInput, 'plantId' | 'placeId'>, data: object): Promise<string> => {
      const id = uuid();
      await g.agent
        .put(g.url('/records'))
        .send({ id, type, ...of, data })
        .expect(200);
      return id;
    },
    weather: () => g.agent.post(g.url('/weather/pull')).expect(200),
    tick: (key: string, body: object = {}) => g.agent.post(g.url(`/tasks/${encodeURIComponent(key)}/done`)).send(body),
    untick: (key: string, body: object = {}) =>
      g.agent.post(g.url(`/tasks/${encodeURIComponent(key)}/undo`)).send(body),
    notToday: (key: string) => g.agent.post(g.url(`/tasks/${encodeURIComponent(key)}/not-today`)),
    goTo: async (pinnedDate: string): Promise<void> => {
      const { today: _t, ...settings } = (await g.agent.get(g.url('')).expect(200)).body as GardenView['garden'];
      await g.agent
        .put('/api/gardens')
        .send({ ...settings, pinnedDate })
        .expect(200);
    },
    view: () => ok<GardenView>('/view'),
    plan: () => ok<PlacePlanDto[]>('/plan'),
    plantView: (id: string) => ok<PlantView>(`/plants/${id}/view`),
  };
}
