import { OpenInDemo } from '../accounts/session.js';
import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put, Query, type StreamableFile } from '@nestjs/common';
import { PlantingInput, SeasonNotesInput, type PlantingDto, type SeasonNotesDto } from '@candid-leaf/contract';
import { asJson } from '../shared/as-json.js';
import { Workers } from '../shared/workers.js';
import { YearPipe } from '../shared/year-pipe.js';
import { SeasonNotesService } from './season-notes.service.js';
import { PlantingsService } from './plantings.service.js';
import { SeasonService } from './season.service.js';

/** Routes of the season page. */
@Controller('api/gardens/:gardenId')
export class SeasonController {
  private readonly ofYear;

  constructor(
    season: SeasonService,
    private readonly plantings: PlantingsService,
    private readonly notes: SeasonNotesService,
    workers: Workers,
  ) {
    this.ofYear = workers.offerReading('season', (gardenId: string, year: number | null) =>
      season.view(gardenId, year ?? undefined),
    );
  }

  @OpenInDemo()
  @Get('season')
  async view(
    @Param('gardenId') gardenId: string,
    @Query('year', YearPipe) year: number | null,
  ): Promise<StreamableFile> {
    return asJson(await this.ofYear(gardenId, year));
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
