import { Controller, Delete, Get, Header, HttpCode, Param, Post } from '@nestjs/common';
import type { CalendarLinkDto, NewCalendarLink } from '@candid-leaf/contract';
import { AccountId, PeopleOnly, Public } from '../accounts/session.js';
import { Workers } from '../shared/workers.js';
import { CalendarService } from './calendar.service.js';

/** Routes of the calendar link. */
@Controller('api')
export class CalendarController {
  private readonly ofGarden;

  constructor(
    private readonly calendar: CalendarService,
    workers: Workers,
  ) {
    this.ofGarden = workers.offerReading('calendar', (gardenId: string) => calendar.read(gardenId));
  }

  @Get('gardens/:gardenId/calendar')
  state(@Param('gardenId') gardenId: string): Promise<CalendarLinkDto> {
    return this.calendar.state(gardenId);
  }

  @PeopleOnly()
  @Post('gardens/:gardenId/calendar')
  @HttpCode(200)
  renew(@Param('gardenId') gardenId: string, @AccountId() accountId: string): Promise<NewCalendarLink> {
    return this.calendar.renew(gardenId, accountId);
  }

  @PeopleOnly()
  @Delete('gardens/:gardenId/calendar')
  @HttpCode(204)
  revoke(@Param('gardenId') gardenId: string): Promise<void> {
    return this.calendar.revoke(gardenId);
  }

  /** Calendar programs have no session, only the secret in the address. */
  @Public()
  @Get('calendars/:secret/garden.ics')
  @Header('content-type', 'text/calendar; charset=utf-8')
  @Header('cache-control', 'private, no-store')
  @Header('referrer-policy', 'no-referrer')
  async read(@Param('secret') secret: string): Promise<string> {
    return JSON.parse(await this.ofGarden(await this.calendar.gardenBehind(secret))) as string;
  }
}
