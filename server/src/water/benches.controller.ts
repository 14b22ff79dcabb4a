import { OpenInDemo } from '../accounts/session.js';
import { Body, Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import { BenchInput, type BenchDto } from '@candid-leaf/contract';
import { BenchesService } from './benches.service.js';

/** Routes of saved comparisons of watering methods. */
@Controller('api/gardens/:gardenId/benches')
export class BenchesController {
  constructor(private readonly benches: BenchesService) {}

  @OpenInDemo()
  @Get()
  list(@Param('gardenId') gardenId: string): Promise<BenchDto[]> {
    return this.benches.list(gardenId);
  }

  @Put()
  put(@Param('gardenId') gardenId: string, @Body() body: BenchInput): Promise<BenchDto> {
    return this.benches.put(gardenId, body);
  }

  @Delete(':benchId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('benchId') benchId: string): Promise<void> {
    return this.benches.remove(gardenId, benchId);
  }
}
