import { Injectable } from '@nestjs/common';
import { greenInOn, lastFlowersOn } from '@candid-leaf/core/harvest';
import { coverOf, type Happening } from '@candid-leaf/core/records';
import { frostsOf, growingYearOf } from '@candid-leaf/core/season';
import type { EntityManager } from 'typeorm';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordsService } from '../records/records.service.js';
import { TaskSource, type Task, type Tick } from '../today/task-source.js';
import { newestEvent } from './newest-event.js';
import { modeOf, yearOf } from './planting-on-view.js';

type What = 'last-flowers-off' | 'green-fruit-in';

/** Before frost: the last flowers off, and green fruit in. The top is taken off by the week's cuts. */
@Injectable()
export class LateSource extends TaskSource {
  readonly code = 'late';

  constructor(private readonly records: RecordsService) {
    super();
  }

  list(s: GardenSnapshot): Promise<Task[]> {
    const first = firstFrost(s);
    return Promise.resolve(
      first === null
        ? []
        : livePlaces(s).flatMap((place) => [...flowersTask(s, place, first), ...greenTask(s, place, first)]),
    );
  }

  async done(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    if (await this.records.exists(m, s.garden.id, tick.recordId)) return tick.recordId;
    const [placeId = '', what] = id.split(':') as [string, What];
    const first = firstFrost(s);
    const place = livePlaces(s).find((p) => p.id === placeId);
    if (!place || first === null || (what !== 'last-flowers-off' && what !== 'green-fruit-in')) return null;
    const plants = still(s, place, what).map((p) => p.id);
    return this.records.writeEach(m, s.garden.id, tick, plants, 'event', { date: s.today, what } as Happening);
  }

  undo(m: EntityManager, s: GardenSnapshot, _id: string, recordId: string | null): Promise<void> {
    return this.records.takeBackEach(
      m,
      s.garden.id,
      recordId,
      s.plants.map((p) => p.id),
    );
  }
}

/** Of this season; in a mild winter frost is a guest, and ends nothing. */
const firstFrost = (s: GardenSnapshot): string | null =>
  modeOf(s) === 'warm' ? frostsOf(s.garden, growingYearOf(s.today, s.garden.latitude, modeOf(s))).first : null;

/** Plants of this season for which it is not written down yet; indoors no frost comes. */
const still = (s: GardenSnapshot, place: PlaceEntity, what: What): PlantEntity[] =>
  coverOf(place) === 'indoors'
    ? []
    : livePlantsIn(s, place.id).filter(
        (p) =>
          p.transplantedOn !== null &&
          yearOf(s, p.transplantedOn) === yearOf(s, s.today) &&
          newestEvent(s, p.id, what) === null &&
          // a bush kind is through by then
          (what === 'green-fruit-in' || p.crop === 'pepper' || p.habit !== 'determinate'),
      );

const frame = (place: PlaceEntity, plants: readonly PlantEntity[], what: What) => ({
  id: `${place.id}:${what}`,
  plantId: null,
  placeId: place.id,
  plantIds: plants.map((p) => p.id),
  where: plants.map((p) => p.name).join(', '),
  litres: null,
  remedy: null,
  dose: null,
});

function flowersTask(s: GardenSnapshot, place: PlaceEntity, first: string): Task[] {
  const plants = still(s, place, 'last-flowers-off');
  const days = plants.map((p) => lastFlowersOn(p.crop, first)).sort();
  if (days.length === 0) return [];
  return [
    {
      ...frame(place, plants, 'last-flowers-off'),
      title: `Take the last flowers off: ${place.name}`,
      why: `what sets from now on is not ripe before the first frost, about ${s.format.day(first)}; its strength goes into the fruit that hangs`,
      dueOn: days[0]!,
      minutes: 2 * plants.length,
      cautions: ['Flowers only: the leaves feed the fruit that hangs.'],
    },
  ];
}

function greenTask(s: GardenSnapshot, place: PlaceEntity, first: string): Task[] {
  const plants = still(s, place, 'green-fruit-in');
  if (plants.length === 0) return [];
  const tomatoes = plants.some((p) => p.crop === 'tomato');
  return [
    {
      ...frame(place, plants, 'green-fruit-in'),
      title: `Bring the green fruit in: ${place.name}`,
      why: tomatoes
        ? `the first frost comes about ${s.format.day(first)}, ten days to each side: full-sized green tomatoes ripen on the shelf, small ones are for the pan`
        : `the first frost comes about ${s.format.day(first)}, ten days to each side: peppers that have begun to turn go on in a warm room, green ones are eaten green`,
      dueOn: greenInOn(first),
      minutes: 4 * plants.length,
      cautions: [
        'Weights are written down on each plant, with "on the shelf to ripen".',
        'Fruit that frost has killed is not for canning, and does not keep.',
      ],
    },
  ];
}
