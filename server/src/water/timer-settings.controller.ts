import { Body, Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import { HoseTimerInput, type HoseTimerDto } from '@candid-leaf/contract';
import { TimerSettings } from './timer-settings.service.js';

/** Routes of the hose timer's address and outlets. */
@Controller('api/gardens/:gardenId/timer')
export class TimerSettingsController {
  constructor(private readonly timers: TimerSettings) {}

  @Get()
  get(@Param('gardenId') gardenId: string): Promise<HoseTimerDto> {
    return this.timers.get(gardenId);
  }

  @Put()
  put(@Param('gardenId') gardenId: string, @Body() body: HoseTimerInput): Promise<HoseTimerDto> {
    return this.timers.put(gardenId, body);
  }

  @Delete()
  @HttpCode(204)
  remove(@Param('gardenId') gardenId: string): Promise<void> {
    return this.timers.remove(gardenId);
  }
}
