import { sizeIn } from '../assessment/growth.js';
import { Injectable } from '@nestjs/common';
import { nibblersOn } from '@candid-leaf/core/raising';
import { CAUTIONS, type Happening } from '@candid-leaf/core/records';
import type { EntityManager } from 'typeorm';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { RecordsService } from '../records/records.service.js';
import { RecordingSource } from '../today/recording-source.js';
import type { Task, Tick } from '../today/task-source.js';
import { newestEvent } from '../assessment/newest-event.js';

const WHAT = 'slugs-looked-for';

/** Checks for slugs and other nibblers until a plant is 30 cm tall. The plan waters it. */
@Injectable()
export class SettlingSource extends RecordingSource {
  readonly code = 'settle';

  constructor(records: RecordsService) {
    super(records);
  }

  list(s: GardenSnapshot): Promise<Task[]> {
    return Promise.resolve(
      livePlaces(s).flatMap((place) => {
        const young = youngIn(s, place.id);
        if (young.length === 0) return [];
        const on = young.map((y) => y.on).sort()[0]!;
        return [
          {
            id: place.id,
            plantId: null,
            placeId: place.id,
            plantIds: young.map((y) => y.plant.id),
            title: `Check for slugs: ${place.name}`,
            where: young.map((y) => y.plant.name).join(', '),
            why: `slugs can eat small plants overnight until they are ${s.format.centimetres(30)} tall. Check in the evening with a torch, and under boards and mulch`,
            dueOn: on,
            minutes: 3,
            litres: null,
            remedy: null,
            dose: null,
            cautions: [
              'Collect them by hand; a cut bottle over each plant keeps the rest off, mice and possums too.',
              CAUTIONS['cut-bottle'],
            ],
          },
        ];
      }),
    );
  }

  protected async record(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const plants = youngIn(s, id)
      .filter((y) => y.on <= s.today)
      .map((y) => y.plant.id);
    return this.records.writeEach(m, s.garden.id, tick, {
      plantIds: plants,
      type: 'event',
      data: { date: s.today, what: WHAT } as Happening,
    });
  }
}

const youngIn = (s: GardenSnapshot, placeId: string): { plant: PlantEntity; on: string }[] =>
  livePlantsIn(s, placeId).flatMap((plant) => {
    const on = nibblersOn({
      plantedOn: plant.transplantedOn,
      heightM: sizeIn(s, plant).heightM,
      lookedOn: newestEvent(s, plant.id, WHAT),
      today: s.today,
    });
    return on ? [{ plant, on }] : [];
  });
