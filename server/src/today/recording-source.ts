import type { EntityManager } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import type { RecordsService } from '../records/records.service.js';
import { TaskSource, type Tick } from './task-source.js';

/**
 * A source whose tick writes one record per plant. A second tick with the same id writes nothing; undo deletes what
 * the tick wrote. A source adds `list` and `record`.
 */
export abstract class RecordingSource extends TaskSource {
  constructor(protected readonly records: RecordsService) {
    super();
  }

  async done(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    if (await this.records.exists(m, s.garden.id, tick.recordId)) return tick.recordId;
    return this.record(m, s, id, tick);
  }

  /** Writes what the tick means; null if the task is no longer due. */
  protected abstract record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null>;

  undo(m: EntityManager, s: GardenSnapshot, _id: string, recordId: string | null): Promise<void> {
    return this.records.takeBackEach(
      m,
      s.garden.id,
      recordId,
      s.plants.map((p) => p.id),
    );
  }
}
