import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { GardensModule } from '../gardens/gardens.module.js';
import { ProductEntity } from './product.entity.js';
import { ProductsController } from './products.controller.js';
import { ProductsService } from './products.service.js';

/** Products on the shelf. */
@Module({
  imports: [TypeOrmModule.forFeature([ProductEntity]), GardensModule],
  controllers: [ProductsController],
  providers: [ProductsService],
  exports: [ProductsService],
})
export class ProductsModule {}
