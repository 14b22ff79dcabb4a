import { Injectable } from '@nestjs/common';
import { Snapshots } from '../assessment/snapshots.service.js';
import { Workers, type Rendered } from '../shared/workers.js';
import { TodayService } from '../today/today.service.js';
import { newsOf, type GardenNews } from './words.js';

/** Reads, in a worker thread, what a garden has to say today. */
@Injectable()
export class GardenNewsService {
  readonly of: (gardenId: string) => Promise<Rendered<GardenNews>>;

  constructor(snapshots: Snapshots, today: TodayService, workers: Workers) {
    this.of = workers.offerReading('what members get as messages', async (gardenId: string) => {
      const s = await snapshots.load(gardenId);
      const names = new Map(s.places.map((p) => [p.id, p.name]));
      return newsOf({ name: s.garden.name, today: s.today, format: s.format }, await today.list(s), (id) =>
        id === null ? s.garden.name : (names.get(id) ?? s.garden.name),
      );
    });
  }
}
