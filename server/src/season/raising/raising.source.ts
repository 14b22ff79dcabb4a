import { Injectable } from '@nestjs/common';
import { seedsFor } from '@candid-leaf/core/planning';
import type { SoilCheck } from '@candid-leaf/core/records';
import { growingYearOf } from '@candid-leaf/core/season';
import { addDays } from '@candid-leaf/core/units';
import { DRY_LEFT } from '@candid-leaf/core/water';
import { In, type EntityManager } from 'typeorm';
import { Assessments } from '../../assessment/assessments.service.js';
import type { GardenSnapshot } from '../../assessment/snapshots.service.js';
import { PlantEntity } from '../../plants/plant.entity.js';
import { updateRows } from '../../shared/rows.js';
import { TaskSource, type Task } from '../../today/task-source.js';
import { PlantingEntity } from '../planting.entity.js';
import { gateOf, modeOf, wereNibbled } from '../planting-on-view.js';
import { PlantingsService } from '../plantings.service.js';
import { outTasks, stepOn } from './out-tasks.js';
import { plantOut } from './plant-out.js';
import { plantIds } from '../plant-ids.js';
import { seedlingTasks } from './seedling-tasks.js';

type Step = 'sow' | 'light' | 'thin' | 'tray' | 'look' | 'pot' | 'harden' | 'day' | 'out';
/** Days a finger check of bare soil stays valid. */
const FELT_HOLDS_DAYS = 3;
/** Most watering days stored per row. */
const MOST_DAYS = 60;

/** From seed to bed: sowing, potting on, hardening off, and planting out as soon as possible. */
@Injectable()
export class RaisingSource extends TaskSource {
  readonly code = 'raise';

  constructor(
    private readonly plantings: PlantingsService,
    private readonly assessments: Assessments,
  ) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const now = growingYearOf(s.today, s.garden.latitude, modeOf(s)).year;
    const rows = await this.plantings.of(s.garden.id);
    const nibbled = wereNibbled(rows);
    const tasks: Task[] = [];
    for (const p of rows)
      if ((p.year === now || p.year === now + 1) && !p.plantedOn) {
        tasks.push(...seedlingTasks(s, p, nibbled));
        if (p.sownOn) tasks.push(...outTasks(s, p, await this.isBoneDry(s, p)));
      }
    return tasks;
  }

  async done(m: EntityManager, s: GardenSnapshot, id: string): Promise<null> {
    const { p, step, day } = await this.find(m, s, id);
    if (!p || p.plantedOn) return null;
    const set = (change: Partial<PlantingEntity>) =>
      updateRows(m, PlantingEntity, { id: p.id }, change).then(() => null);
    if (step === 'sow' && !p.sownOn)
      return set({
        sownOn: s.today,
        cells: p.cells ?? seedsFor(p.count, wereNibbled(await this.plantings.of(s.garden.id, undefined, m))).cells,
      });
    if (step === 'light' && p.sownOn && !p.litOn) return set({ litOn: s.today });
    if (step === 'thin' && p.sownOn && !p.thinnedOn) return set({ thinnedOn: s.today });
    if (step === 'tray' && p.sownOn && !p.trayDays?.includes(s.today))
      return set({ trayDays: [...(p.trayDays ?? []), s.today].slice(-MOST_DAYS) });
    if (step === 'look' && p.sownOn && !p.looks?.some((l) => l.on === s.today))
      return set({ looks: [...(p.looks ?? []), { on: s.today, what: 'sound' as const }].slice(-MOST_DAYS) });
    if (step === 'pot' && !p.pottedOn) return set({ pottedOn: s.today });
    if (step === 'harden' && !p.hardenFrom) return set({ hardenFrom: s.today, outDays: [s.today] });
    if (step === 'day' && day === s.today && !(p.outDays ?? []).includes(s.today) && stepOn(s, p) !== null)
      return set({ outDays: [...(p.outDays ?? []), s.today] });
    // without a forecast the gardener decides: only a "wait" blocks it
    if (step === 'out' && gateOf(s, p)?.verdict.go !== 'wait') {
      await plantOut(m, s, p);
      return set({ plantedOn: s.today });
    }
    return null;
  }

  async undo(m: EntityManager, s: GardenSnapshot, id: string): Promise<void> {
    const { p, step, day } = await this.find(m, s, id);
    if (!p) return;
    const set = (change: Partial<PlantingEntity>) => updateRows(m, PlantingEntity, { id: p.id }, change);
    if (step === 'sow') await set({ sownOn: null });
    if (step === 'light') await set({ litOn: null });
    if (step === 'thin') await set({ thinnedOn: null });
    if (step === 'tray') await set({ trayDays: (p.trayDays ?? []).filter((d) => d !== s.today) });
    if (step === 'look') await set({ looks: (p.looks ?? []).filter((l) => l.on !== s.today) });
    if (step === 'pot') await set({ pottedOn: null });
    if (step === 'harden') await set({ hardenFrom: null, outDays: null });
    if (step === 'day') await set({ outDays: (p.outDays ?? []).filter((d) => d !== day) });
    if (step === 'out') {
      await updateRows(m, PlantEntity, { id: In(plantIds(p)), gardenId: s.garden.id }, { deletedAt: new Date() });
      await set({ plantedOn: null });
    }
  }

  /** By a recent finger check, or by the estimate of plants growing there. */
  private async isBoneDry(s: GardenSnapshot, p: PlantingEntity): Promise<boolean> {
    const place = s.places.find((x) => x.id === p.placeId);
    if (!place) return false;
    const felt = s
      .recordsOf(place.id)
      .filter((r) => r.type === 'soil-check' && r.day <= s.today && r.day >= addDays(s.today, -FELT_HOLDS_DAYS))
      .at(-1);
    if (felt) return (felt.data as SoilCheck).feel === 'dry';
    const water = (await this.assessments.plantsIn(s, place)).map(({ own }) => own.report.water);
    return water.some((w) => w.known && (w.daily.at(-1)?.fractionAvailable ?? 1) < DRY_LEFT);
  }

  /** Finds `planting:step`, for hardening with the day. */
  private async find(
    m: EntityManager,
    s: GardenSnapshot,
    id: string,
  ): Promise<{ p: PlantingEntity | undefined; step: Step; day: string }> {
    const [of = '', step = '', day = ''] = id.split(':');
    const p = (await this.plantings.of(s.garden.id, undefined, m)).find((x) => x.id === of);
    return { p, step: step as Step, day };
  }
}
