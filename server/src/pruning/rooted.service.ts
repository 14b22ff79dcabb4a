import { Injectable } from '@nestjs/common';
import type { PlantDto, PlantInput } from '@candid-leaf/contract';
import type { Happening } from '@candid-leaf/core/records';
import { GardensService } from '../gardens/gardens.service.js';
import { PlantsService } from '../plants/plants.service.js';
import { RecordsService, partOf } from '../records/records.service.js';

/** Ends the story of a sucker in water. */
@Injectable()
export class RootedService {
  constructor(
    private readonly gardens: GardensService,
    private readonly plants: PlantsService,
    private readonly records: RecordsService,
  ) {}

  /** Saves the plant it has become, and its planting beside its mother: both or neither. */
  async planted(
    gardenId: string,
    { accountId, motherId }: { accountId: string; motherId: string },
    input: PlantInput,
  ): Promise<PlantDto> {
    return this.gardens.change(gardenId, async (m, garden) => {
      const today = this.gardens.today(garden);
      const plant = await this.plants.write(m, gardenId, today, input);
      const id = partOf(plant.id, motherId);
      // sent again on another day, it stays planted on the first
      if (!(await this.records.wasEverWritten(m, id))) {
        const data: Happening = { date: today, what: 'sucker-planted' };
        await this.records.write(m, gardenId, accountId, today, { id, type: 'event', plantId: motherId, data });
      }
      return plant;
    });
  }
}
