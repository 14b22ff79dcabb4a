import { Injectable } from '@nestjs/common';
import { greenInOn } from '@candid-leaf/core/harvest';
import { coverOf, type Happening } from '@candid-leaf/core/records';
import { frostsOf, growingYearOf, lastUsefulFlower } from '@candid-leaf/core/season';
import type { EntityManager } from 'typeorm';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordsService } from '../records/records.service.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';
import { newestEvent } from '../assessment/newest-event.js';
import { weatherIn } from '../assessment/weather-lists.js';
import { modeOf, yearOf } from './planting-on-view.js';

type What = 'last-flowers-off' | 'green-fruit-in';

/** Before frost: remove the last flowers and bring in green fruit. The weekly cuts include topping. */
@Injectable()
export class LateSource extends RecordingSource {
  readonly code = 'late';

  constructor(records: RecordsService) {
    super(records);
  }

  list(s: GardenSnapshot): Promise<Task[]> {
    const first = firstFrost(s);
    return Promise.resolve(
      first === null
        ? []
        : livePlaces(s).flatMap((place) => [...flowersTask(s, place, first), ...greenTask(s, place, first)]),
    );
  }

  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const [placeId = '', what] = id.split(':') as [string, What];
    const first = firstFrost(s);
    const place = livePlaces(s).find((p) => p.id === placeId);
    if (!place || first === null || (what !== 'last-flowers-off' && what !== 'green-fruit-in')) return null;
    const plants = still(s, place, what).map((p) => p.id);
    return this.records.writeEach(m, s.garden.id, tick, {
      plantIds: plants,
      type: 'event',
      data: { date: s.today, what } as Happening,
    });
  }
}

/** The first frost of this season; in a mild winter frost is occasional and ends nothing. */
const firstFrost = (s: GardenSnapshot): string | null =>
  modeOf(s) === 'warm' ? frostsOf(s.garden, growingYearOf(s.today, s.garden.latitude, modeOf(s))).first : null;

/** Returns plants of this season for which it is not recorded yet; indoors no frost comes. */
const still = (s: GardenSnapshot, place: PlaceEntity, what: What): PlantEntity[] =>
  coverOf(place) === 'indoors'
    ? []
    : livePlantsIn(s, place.id).filter(
        (p) =>
          p.transplantedOn !== null &&
          yearOf(s, p.transplantedOn) === yearOf(s, s.today) &&
          newestEvent(s, p.id, what) === null &&
          // a bush variety is finished by then, and peppers are eaten green: theirs stay on
          (what === 'green-fruit-in' || (p.crop === 'tomato' && p.habit !== 'determinate')),
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
  // the same day on which the plants are topped
  const on = lastUsefulFlower({
    ...s.garden,
    firstFrost: first,
    today: first,
    recorded: weatherIn(s).filter((w) => w.date <= s.today),
  });
  if (plants.length === 0 || on === null) return [];
  return [
    {
      ...frame(place, plants, 'last-flowers-off'),
      title: `Remove the last flowers: ${place.name}`,
      why: `fruit that sets now stays too small to ripen, even indoors: the first frost comes about ${s.format.day(first)}. Let the plant ripen what it has`,
      dueOn: on,
      minutes: 2 * plants.length,
      cautions: ['Remove flowers only: the leaves feed the remaining fruit.'],
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
      title: `Bring in the green fruit: ${place.name}`,
      why: tomatoes
        ? `the first frost comes about ${s.format.day(first)}, give or take ten days. Full-sized green tomatoes ripen on the shelf; cook small ones`
        : `the first frost comes about ${s.format.day(first)}, give or take ten days. Peppers that have begun to turn ripen in a warm room; eat green ones green`,
      dueOn: greenInOn(first),
      minutes: 4 * plants.length,
      cautions: [
        'Record the weight on each plant, as “set aside to ripen”.',
        'Fruit killed by frost does not keep and is not for canning.',
      ],
    },
  ];
}
