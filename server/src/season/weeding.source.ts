import { Injectable } from '@nestjs/common';
import { companionRow, mustWeed, weedsStanding } from '@candid-leaf/core/companions';
import type { Companion } from '@candid-leaf/core/records';
import type { EntityManager } from 'typeorm';
import { sizeIn } from '../assessment/growth.js';
import { companionsIn } from '../assessment/own-records.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { RecordsService } from '../records/records.service.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';

/** Weeds that a look found: cleared from young plants, and those of the crop's own family from all. */
@Injectable()
export class WeedingSource extends RecordingSource {
  readonly code = 'weed';

  constructor(records: RecordsService) {
    super(records);
  }

  list(s: GardenSnapshot): Promise<Task[]> {
    return Promise.resolve(
      livePlaces(s).flatMap((place) =>
        weedsToClear(s, place).map(({ what, since }): Task => ({
          id: `${place.id}:${what}`,
          plantId: null,
          placeId: place.id,
          title: `Weed: ${place.name}`,
          where: '',
          why: `${companionRow(what).label.toLowerCase()} were seen on ${s.format.day(since)}. ${companionRow(what).known}`,
          dueOn: since,
          minutes: 10,
          litres: null,
          remedy: null,
          dose: null,
          cautions: ['Pull by hand or cut shallow: roots of the crop lie close below.'],
        })),
      ),
    );
  }

  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const [placeId, what] = id.split(':');
    const place = livePlaces(s).find((p) => p.id === placeId);
    const weeds = place && weedsToClear(s, place).find((w) => w.what === what);
    if (!weeds) return null;
    await this.records.write(m, s.garden.id, tick.accountId, s.today, {
      id: tick.recordId,
      type: 'companion',
      placeId: place.id,
      data: { date: s.today, what: weeds.what, did: 'cleared' } satisfies Companion,
    });
    return tick.recordId;
  }
}

function weedsToClear(s: GardenSnapshot, place: PlaceEntity) {
  const plants = livePlantsIn(s, place.id);
  if (plants.length === 0) return [];
  const heights = plants.flatMap((p) => sizeIn(s, p).heightM ?? []);
  return weedsStanding(companionsIn(s, place.id)).filter(({ what }) =>
    mustWeed(what, heights.length > 0 ? Math.min(...heights) : null),
  );
}
