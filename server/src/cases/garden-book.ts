import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { IsNull, type DataSource } from 'typeorm';
import { GardenEntity } from '../gardens/garden.entity.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { WeatherEntity } from '../weather/weather.entity.js';

/** Everything that is written down of one garden, read at once. */
export interface GardenBook {
  garden: GardenEntity;
  today: string;
  places: PlaceEntity[];
  plants: PlantEntity[];
  records: RecordEntity[];
  weather: WeatherEntity[];
}

@Injectable()
export class GardenBooks {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
  ) {}

  async open(gardenId: string): Promise<GardenBook> {
    const m = this.db.manager;
    const garden = await this.gardens.get(gardenId);
    const [places, plants, records, weather] = await Promise.all([
      m.find(PlaceEntity, { where: { gardenId, deletedAt: IsNull() }, order: { position: 'ASC' } }),
      m.find(PlantEntity, { where: { gardenId, deletedAt: IsNull() }, order: { position: 'ASC' } }),
      m.find(RecordEntity, { where: { gardenId, deletedAt: IsNull() }, order: { day: 'ASC', id: 'ASC' } }),
      m.find(WeatherEntity, { where: { gardenId }, order: { day: 'ASC' } }),
    ]);
    return { garden, today: this.gardens.today(garden), places, plants, records, weather };
  }
}
