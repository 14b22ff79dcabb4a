import { OpenInDemo } from '../accounts/session.js';
import { Body, Controller, Delete, Get, HttpCode, Param, ParseIntPipe, Post, Put, Query } from '@nestjs/common';
import {
  PlantingInput,
  SeasonNotesInput,
  type PlantingDto,
  type SeasonNotesDto,
  type SeasonView,
} from '@candid-leaf/contract';
import { SeasonNotesService } from './season-notes.service.js';
import { PlantingsService } from './plantings.service.js';
import { SeasonService } from './season.service.js';

/** Routes of the season page. */
@Controller('api/gardens/:gardenId')
export class SeasonController {
  constructor(
    private readonly season: SeasonService,
    private readonly plantings: PlantingsService,
    private readonly notes: SeasonNotesService,
  ) {}

  @OpenInDemo()
  @Get('season')
  view(
    @Param('gardenId') gardenId: string,
    @Query('year', new ParseIntPipe({ optional: true })) year?: number,
  ): Promise<SeasonView> {
    return this.season.view(gardenId, year);
  }

  @Put('season/notes')
  putNotes(@Param('gardenId') gardenId: string, @Body() body: SeasonNotesInput): Promise<SeasonNotesDto> {
    return this.notes.put(gardenId, body);
  }

  @Put('plantings')
  put(@Param('gardenId') gardenId: string, @Body() body: PlantingInput): Promise<PlantingDto> {
    return this.plantings.put(gardenId, body);
  }

  @Delete('plantings/:plantingId')
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string, @Param('plantingId') plantingId: string): Promise<void> {
    return this.plantings.setDeleted(gardenId, plantingId, true);
  }

  @Post('plantings/:plantingId/restore')
  @HttpCode(204)
  restore(@Param('gardenId') gardenId: string, @Param('plantingId') plantingId: string): Promise<void> {
    return this.plantings.setDeleted(gardenId, plantingId, false);
  }
}
