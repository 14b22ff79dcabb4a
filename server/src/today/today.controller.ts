import { Body, Controller, HttpCode, Param, Post, StreamableFile } from '@nestjs/common';
import { TaskDone } from '@candid-leaf/contract';
import { v7 as uuid } from 'uuid';
import { AccountId, Needs } from '../accounts/session.js';
import { asJson } from '../shared/as-json.js';
import { Workers } from '../shared/workers.js';
import type { Tick } from './task-source.js';
import { TodayService } from './today.service.js';

/** Routes to tick, undo and postpone a task. */
@Controller('api/gardens/:gardenId/tasks/:key')
export class TodayController {
  private readonly tick;
  private readonly takeBack;
  private readonly putOff;

  constructor(today: TodayService, workers: Workers) {
    this.tick = workers.offer(
      'tick a task',
      (gardenId: string, key: string, tick: Tick, more: Pick<TaskDone, 'estimatedMinutes' | 'at'>) =>
        today.done(gardenId, key, tick, more),
    );
    this.takeBack = workers.offer('undo a tick', (gardenId: string, key: string, recordId: string | null) =>
      today.undo(gardenId, key, recordId),
    );
    this.putOff = workers.offer('postpone a task', (gardenId: string, key: string) => today.postpone(gardenId, key));
  }

  @Needs('record')
  @Post('done')
  @HttpCode(200)
  async done(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('key') key: string,
    @Body() body: TaskDone,
  ): Promise<StreamableFile> {
    const { recordId = uuid(), estimatedMinutes, at } = body;
    return asJson(
      await this.tick(
        gardenId,
        key,
        { accountId, recordId },
        { ...(estimatedMinutes ? { estimatedMinutes } : {}), ...(at ? { at } : {}) },
      ),
    );
  }

  @Needs('record')
  @Post('undo')
  @HttpCode(204)
  async undo(@Param('gardenId') gardenId: string, @Param('key') key: string, @Body() body: TaskDone): Promise<void> {
    await this.takeBack(gardenId, key, body.recordId ?? null);
  }

  @Needs('record')
  @Post('not-today')
  @HttpCode(204)
  async postpone(@Param('gardenId') gardenId: string, @Param('key') key: string): Promise<void> {
    await this.putOff(gardenId, key);
  }
}
