import { Injectable } from '@nestjs/common';
import type { Happening } from '@candid-leaf/core/records';
import { growingYearOf } from '@candid-leaf/core/season';
import { preparationInWords, preparationOf, type Preparation } from '@candid-leaf/core/soil';
import type { EntityManager } from 'typeorm';
import { compostDugOn } from '../assessment/newest-event.js';
import { livePlaces, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import { RecordsService } from '../records/records.service.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';
import { datesOfPlanting, modeOf } from './planting-on-view.js';
import { PlantingsService } from './plantings.service.js';

const WHAT = 'compost-dug-in';
const MINUTES = 40;

/** Compost worked into planned beds in the weeks before planting out. */
@Injectable()
export class SoilPrepSource extends RecordingSource {
  readonly code = 'prepare';

  constructor(
    records: RecordsService,
    private readonly plantings: PlantingsService,
  ) {
    super(records);
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    return (await this.due(s)).map(({ place, plan }): Task => {
      const { amount, why } = preparationInWords(plan, s.format);
      return {
        id: place.id,
        plantId: null,
        placeId: place.id,
        title: `Work in compost: ${place.name}`,
        where: 'Ripe compost or old manure',
        why,
        dueOn: plan.from > s.today ? plan.from : s.today,
        minutes: MINUTES,
        litres: null,
        remedy: null,
        dose: null,
        amount,
        cautions: [
          'Fresh manure only in autumn: from spreading to picking it needs 120 days, as it carries germs.',
          'Manure from sprayed land can carry weedkiller: test it with a bean seedling.',
        ],
      };
    });
  }

  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    if (!(await this.due(s)).some(({ place }) => place.id === id)) return null;
    await this.records.write(m, s.garden.id, tick.accountId, s.today, {
      id: tick.recordId,
      type: 'event',
      placeId: id,
      data: { date: s.today, what: WHAT } satisfies Happening,
    });
    return tick.recordId;
  }

  private async due(s: GardenSnapshot): Promise<{ place: PlaceEntity; plan: Preparation }[]> {
    const { year } = growingYearOf(s.today, s.garden.latitude, modeOf(s));
    // who feeds by a soil test adds only what it shows is low
    if (s.garden.starter === 'by-test') return [];
    const planned = (await this.plantings.of(s.garden.id)).filter(
      (p) => !p.plantedOn && (p.year === year || p.year === year + 1),
    );
    if (planned.length === 0) return [];
    return livePlaces(s).flatMap((place) => {
      const [first] = planned
        .filter((p) => p.placeId === place.id)
        .flatMap((p) => datesOfPlanting(s, p).bands.find((b) => b.what === 'plant-out')?.from ?? [])
        .sort();
      const plan = first ? preparationOf(place, first, compostDugOn(s, place.id)) : null;
      // too late to dig once its time has come
      return plan && plan.until >= s.today ? [{ place, plan }] : [];
    });
  }
}
