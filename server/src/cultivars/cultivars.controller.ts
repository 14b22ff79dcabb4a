import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { CultivarInput, type CultivarDto } from '@candid-leaf/contract';
import { CultivarsService } from './cultivars.service.js';

@Controller('api/gardens/:gardenId/kinds')
export class CultivarsController {
  constructor(private readonly cultivars: CultivarsService) {}

  @Get()
  list(@Param('gardenId') gardenId: string): Promise<CultivarDto[]> {
    return this.cultivars.list(gardenId);
  }

  @Put()
  put(@Param('gardenId') gardenId: string, @Body() body: CultivarInput): Promise<CultivarDto> {
    return this.cultivars.put(gardenId, body);
  }

  @Delete(':kindId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('kindId') kindId: string): Promise<void> {
    return this.cultivars.setDeleted(gardenId, kindId, true);
  }

  @Post(':kindId/restore')
  @HttpCode(204)
  restore(@Param('gardenId') gardenId: string, @Param('kindId') kindId: string): Promise<void> {
    return this.cultivars.setDeleted(gardenId, kindId, false);
  }
}
