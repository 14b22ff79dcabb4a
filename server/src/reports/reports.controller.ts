import { OpenInDemo } from '../accounts/session.js';
import { Controller, Get, Param, Query, type StreamableFile } from '@nestjs/common';
import { asJson } from '../shared/as-json.js';
import { Workers } from '../shared/workers.js';
import { YearPipe } from '../shared/year-pipe.js';
import { ReportsService } from './reports.service.js';

/** Routes of harvest report and case sheet. */
@Controller('api/gardens/:gardenId')
export class ReportsController {
  private readonly ofYear;

  constructor(reports: ReportsService, workers: Workers) {
    this.ofYear = workers.offerReading('report of a season', (gardenId: string, year: number | null) =>
      reports.report(gardenId, year ?? undefined),
    );
  }

  @OpenInDemo()
  @Get('season/report')
  async report(
    @Param('gardenId') gardenId: string,
    @Query('year', YearPipe) year: number | null,
  ): Promise<StreamableFile> {
    return asJson(await this.ofYear(gardenId, year));
  }
}
