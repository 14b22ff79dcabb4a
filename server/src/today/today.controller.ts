import { Body, Controller, HttpCode, Param, Post } from '@nestjs/common';
import { TaskDone } from '@candid-leaf/contract';
import { v7 as uuid } from 'uuid';
import { AccountId } from '../accounts/session.js';
import { TodayService } from './today.service.js';

@Controller('api/gardens/:gardenId/tasks/:key')
export class TodayController {
  constructor(private readonly today: TodayService) {}

  @Post('done')
  @HttpCode(200)
  done(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('key') key: string,
    @Body() body: TaskDone,
  ): Promise<{ recordId: string | null }> {
    return this.today.done(gardenId, key, { accountId, recordId: body.recordId ?? uuid() });
  }

  @Post('undo')
  @HttpCode(204)
  undo(@Param('gardenId') gardenId: string, @Param('key') key: string, @Body() body: TaskDone): Promise<void> {
    return this.today.undo(gardenId, key, body.recordId ?? null);
  }

  @Post('not-today')
  @HttpCode(204)
  postpone(@Param('gardenId') gardenId: string, @Param('key') key: string): Promise<void> {
    return this.today.postpone(gardenId, key);
  }
}
