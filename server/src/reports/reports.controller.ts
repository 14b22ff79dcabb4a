import { OpenInDemo } from '../accounts/session.js';
import { Controller, Get, Param, ParseIntPipe, Query } from '@nestjs/common';
import type { SeasonReportView } from '@candid-leaf/contract';
import { ReportsService } from './reports.service.js';

/** Routes of harvest report and case sheet. */
@Controller('api/gardens/:gardenId')
export class ReportsController {
  constructor(private readonly reports: ReportsService) {}

  @OpenInDemo()
  @Get('season/report')
  report(
    @Param('gardenId') gardenId: string,
    @Query('year', new ParseIntPipe({ optional: true })) year?: number,
  ): Promise<SeasonReportView> {
    return this.reports.report(gardenId, year);
  }
}
