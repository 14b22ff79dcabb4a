import { OpenInDemo } from '../accounts/session.js';
import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { VarietyInput, type VarietyDto } from '@candid-leaf/contract';
import { VarietiesService } from './varieties.service.js';

/** Routes of varieties. */
@Controller('api/gardens/:gardenId/varieties')
export class VarietiesController {
  constructor(private readonly varieties: VarietiesService) {}

  @OpenInDemo()
  @Get()
  list(@Param('gardenId') gardenId: string): Promise<VarietyDto[]> {
    return this.varieties.list(gardenId);
  }

  @Put()
  put(@Param('gardenId') gardenId: string, @Body() body: VarietyInput): Promise<VarietyDto> {
    return this.varieties.put(gardenId, body);
  }

  @Delete(':varietyId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('varietyId') varietyId: string): Promise<void> {
    return this.varieties.setDeleted(gardenId, varietyId, true);
  }

  @Post(':varietyId/restore')
  @HttpCode(204)
  restore(@Param('gardenId') gardenId: string, @Param('varietyId') varietyId: string): Promise<void> {
    return this.varieties.setDeleted(gardenId, varietyId, false);
  }
}
