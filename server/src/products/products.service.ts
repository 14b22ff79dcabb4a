import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { ProductDto, ProductInput } from '@candid-leaf/contract';
import { productFaults, STARTERS, type Product } from '@candid-leaf/core/products';
import { IsNull, type EntityManager, type Repository } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { notFound, throwIfFaults } from '../shared/http-errors.js';
import { putVersioned, updateRows } from '../shared/rows.js';
import { ProductEntity } from './product.entity.js';

const productDto = ({ gardenId: _g, deletedAt: _d, revision: _r, ...rest }: ProductEntity): ProductDto => rest;

/** The gardener's own products. Starters are built in and stored in no table. */
@Injectable()
export class ProductsService {
  constructor(
    private readonly gardens: GardensService,
    @InjectRepository(ProductEntity) private readonly products: Repository<ProductEntity>,
  ) {}

  async list(gardenId: string, m: EntityManager = this.products.manager): Promise<ProductDto[]> {
    const rows = await m.find(ProductEntity, {
      where: { gardenId, deletedAt: IsNull() },
      order: { name: 'ASC', id: 'ASC' },
    });
    return rows.map(productDto);
  }

  /** The gardener's own first, then the starters. */
  async all(gardenId: string, m?: EntityManager): Promise<Product[]> {
    return [...(await this.list(gardenId, m)), ...STARTERS];
  }

  put(gardenId: string, input: ProductInput): Promise<ProductDto> {
    throwIfFaults(productFaults(input));
    const { id, version, ...make } = input;
    const content = {
      ...make,
      gPerMl: make.gPerMl ?? null,
      slow: make.slow ?? null,
      dose: make.dose ?? null,
      everyDays: make.everyDays ?? null,
      mostUses: make.mostUses ?? null,
      harvestDays: make.harvestDays ?? null,
      reentryHours: make.reentryHours ?? null,
      copperPct: make.copperPct ?? null,
      organic: make.organic ?? null,
      spray: make.spray ?? null,
      cautions: make.cautions ?? null,
    };
    return this.gardens.change(gardenId, async (m) =>
      productDto(await putVersioned(m, ProductEntity, { id, gardenId, version }, content)),
    );
  }

  /** Records made with it keep their numbers: they are copies. */
  setDeleted(gardenId: string, id: string, deleted: boolean): Promise<void> {
    return this.gardens.change(gardenId, async (m) => {
      const found = await updateRows(m, ProductEntity, { id, gardenId }, { deletedAt: deleted ? new Date() : null });
      if (found === 0) throw notFound('product');
    });
  }
}
