import { OpenInDemo } from '../accounts/session.js';
import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ProductInput, type ProductDto } from '@candid-leaf/contract';
import { ProductsService } from './products.service.js';

/** Routes of the shelf of products. */
@Controller('api/gardens/:gardenId/products')
export class ProductsController {
  constructor(private readonly products: ProductsService) {}

  @OpenInDemo()
  @Get()
  list(@Param('gardenId') gardenId: string): Promise<ProductDto[]> {
    return this.products.list(gardenId);
  }

  @Put()
  put(@Param('gardenId') gardenId: string, @Body() body: ProductInput): Promise<ProductDto> {
    return this.products.put(gardenId, body);
  }

  @Delete(':productId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('productId') productId: string): Promise<void> {
    return this.products.setDeleted(gardenId, productId, true);
  }

  @Post(':productId/restore')
  @HttpCode(204)
  restore(@Param('gardenId') gardenId: string, @Param('productId') productId: string): Promise<void> {
    return this.products.setDeleted(gardenId, productId, false);
  }
}
