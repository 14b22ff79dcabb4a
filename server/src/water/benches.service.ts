import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { BenchDto, BenchInput } from '@candid-leaf/contract';
import { IsNull, type Repository } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { PlaceEntity } from '../places/place.entity.js';
import { notFound } from '../shared/http-errors.js';
import { putVersioned, updateRows } from '../shared/rows.js';
import { BenchEntity } from './bench.entity.js';

const benchDto = ({ id, version, placeId, name, weather, years, setUps }: BenchEntity): BenchDto => ({
  id,
  version,
  placeId,
  name,
  weather,
  years,
  setUps: setUps,
});

/** Saved set-ups. The page runs them. */
@Injectable()
export class BenchesService {
  constructor(
    private readonly gardens: GardensService,
    @InjectRepository(BenchEntity) private readonly benches: Repository<BenchEntity>,
  ) {}

  async list(gardenId: string): Promise<BenchDto[]> {
    const rows = await this.benches.find({ where: { gardenId, deletedAt: IsNull() }, order: { id: 'DESC' } });
    return rows.map(benchDto);
  }

  put(gardenId: string, { id, version, ...content }: BenchInput): Promise<BenchDto> {
    return this.gardens.change(gardenId, async (m) => {
      if (!(await m.existsBy(PlaceEntity, { id: content.placeId, gardenId }))) throw notFound('place');
      return benchDto(await putVersioned(m, BenchEntity, { id, gardenId, version }, content));
    });
  }

  remove(gardenId: string, id: string): Promise<void> {
    return this.gardens.change(gardenId, async (m) => {
      const bench = await m.findOneBy(BenchEntity, { id, gardenId });
      if (!bench) throw notFound('bench');
      await updateRows(m, BenchEntity, { id }, { deletedAt: bench.deletedAt ?? new Date() });
    });
  }
}
