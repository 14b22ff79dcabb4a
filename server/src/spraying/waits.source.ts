import { type PlantEntity } from '../plants/plant.entity.js';
import { type PlaceEntity } from '../places/place.entity.js';
import { type Day } from '@candid-leaf/core/units';
import { Injectable } from '@nestjs/common';
import type { Spraying } from '@candid-leaf/core/records';
import { SPRAY_WORDS, waitsOn, keepOutOn, waitUnknown } from '@candid-leaf/core/spray';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import { TaskSource, type Task } from '../today/task-source.js';

/** Fruit that must not be picked yet: nothing to do, shown until it is over. */
@Injectable()
export class WaitsSource extends TaskSource {
  readonly code = 'spray';

  list(s: GardenSnapshot): Promise<Task[]> {
    return Promise.resolve(
      livePlaces(s).flatMap((place) =>
        livePlantsIn(s, place.id).flatMap((plant): Task[] => {
          const sprays = [...s.recordsOf(plant.id), ...s.recordsOf(place.id)]
            .filter((r) => r.type === 'spray')
            .map((r) => r.data as Spraying);
          const out = keepOutOn(s.today, sprays).at(-1);
          const keepOut = out ? [keepOutTask(s, place, plant, out)] : [];
          const longest = waitsOn(s.today, sprays).sort((a, b) => (a.until < b.until ? 1 : -1))[0];
          if (!longest) return keepOut;
          const { spray, until } = longest;
          const name = spray.name ?? SPRAY_WORDS[spray.product];
          return [
            ...keepOut,
            {
              id: `${plant.id}`,
              plantId: plant.id,
              placeId: place.id,
              title: `Do not pick: ${plant.name}`,
              where: place.name,
              why: `${name} was sprayed on ${s.format.day(spray.date)}`,
              dueOn: until,
              minutes: 0,
              litres: null,
              remedy: null,
              dose: null,
              held: {
                until,
                because: waitUnknown(spray)
                  ? `${name} was sprayed on ${s.format.day(spray.date)} and its waiting time is not recorded: read the label, and add it to that record`
                  : `${name} was sprayed on ${s.format.day(spray.date)}; its label allows picking again on ${s.format.day(until)}`,
              },
              cautions: [
                'Keep children and pets away until it is dry, and until the label’s re-entry time has passed.',
              ],
            },
          ];
        }),
      ),
    );
  }

  /** Nothing to tick. */
  done(): Promise<null> {
    return Promise.resolve(null);
  }
  undo(): Promise<void> {
    return Promise.resolve();
  }
}

/** The re-entry time of a spray. */
function keepOutTask(
  s: GardenSnapshot,
  place: PlaceEntity,
  plant: PlantEntity,
  { spray, until }: { spray: Spraying; until: Day },
): Task {
  const name = spray.name ?? SPRAY_WORDS[spray.product];
  return {
    id: `${plant.id}:out`,
    plantId: plant.id,
    placeId: place.id,
    title: `Keep out: ${plant.name}`,
    where: place.name,
    why: `${name} was sprayed on ${s.format.day(spray.date)}`,
    dueOn: until,
    minutes: 0,
    litres: null,
    remedy: null,
    dose: null,
    held: {
      until,
      because: `${name} was sprayed on ${s.format.day(spray.date)}: its label says no one may enter for ${spray.reentryHours} hours, nor children or pets`,
    },
    cautions: [],
  };
}
