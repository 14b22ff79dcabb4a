import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { TrialDto, TrialInput } from '@candid-leaf/contract';
import { trialInWords, trialVerdict, type Group } from '@candid-leaf/core/helped';
import { signRow, type Inspection } from '@candid-leaf/core/records';
import { In, IsNull, type DataSource } from 'typeorm';
import { Snapshots, type GardenSnapshot } from '../assessment/snapshots.service.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { notFound, throwIfFaults } from '../shared/http-errors.js';
import { putVersioned, updateRows } from '../shared/rows.js';
import { trialFaults } from './trial-faults.js';
import { TrialEntity } from './trial.entity.js';

/** Creates and judges trials. */
@Injectable()
export class TrialsService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly snapshots: Snapshots,
  ) {}

  async list(gardenId: string): Promise<TrialDto[]> {
    const s = await this.snapshots.load(gardenId);
    return (await this.rows(gardenId)).map((t) => trialDto(s, t));
  }

  rows(gardenId: string): Promise<TrialEntity[]> {
    return this.db.manager.find(TrialEntity, {
      where: { gardenId, deletedAt: IsNull() },
      order: { judgeOn: 'DESC', id: 'DESC' },
    });
  }

  async put(gardenId: string, { id, version, ...content }: TrialInput): Promise<TrialDto> {
    throwIfFaults(trialFaults(content));
    await this.gardens.change(gardenId, async (m) => {
      const all = [...content.changed, ...content.untouched];
      if ((await m.countBy(PlantEntity, { gardenId, id: In(all) })) !== all.length) throw notFound('plant');
      await putVersioned(m, TrialEntity, { id, gardenId, version }, content, { judgedOn: null });
    });
    const kept = (await this.list(gardenId)).find((t) => t.id === id);
    if (!kept) throw notFound('trial');
    return kept;
  }

  remove(gardenId: string, id: string): Promise<void> {
    return this.gardens.change(gardenId, async (m) => {
      if ((await updateRows(m, TrialEntity, { id, gardenId }, { deletedAt: new Date() })) === 0)
        throw notFound('trial');
    });
  }
}

/** Returns how many of the plants looked over since it began showed it. Plants not looked over do not count. */
function groupOf(s: GardenSnapshot, t: TrialEntity, plants: readonly string[]): Group {
  const until = t.judgedOn ?? s.today;
  const looks = plants.map((id) =>
    s
      .recordsOf(id)
      .filter((r) => r.type === 'inspection' && r.day > t.startedOn && r.day <= until)
      .map((r) => r.data as Inspection),
  );
  const seen = looks.filter((l) => l.length > 0);
  return {
    of: seen.length,
    hit: seen.filter((l) => l.some((i) => i.signs.some((x) => x.sign === t.measure && x.present))).length,
  };
}

/** Returns a trial with its verdict from the records so far. */
export function trialDto(s: GardenSnapshot, t: TrialEntity): TrialDto {
  const { gardenId: _g, deletedAt: _d, revision: _r, ...rest } = t;
  const [changed, untouched] = [groupOf(s, t, t.changed), groupOf(s, t, t.untouched)];
  return {
    ...rest,
    verdict: trialVerdict(changed, untouched),
    text: trialInWords(changed, untouched, signRow(t.measure).label),
  };
}
