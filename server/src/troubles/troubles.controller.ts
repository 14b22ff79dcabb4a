import { Body, Controller, HttpCode, Param, Post } from '@nestjs/common';
import { AcceptFinding, TaskDone, TroubleOutcome, type TroubleDto } from '@candid-leaf/contract';
import { v7 as uuid } from 'uuid';
import { AccountId } from '../accounts/session.js';
import { TasksService } from './tasks.service.js';
import { TroublesService } from './troubles.service.js';

@Controller('api/gardens/:gardenId')
export class TroublesController {
  constructor(
    private readonly troubles: TroublesService,
    private readonly tasks: TasksService,
  ) {}

  @Post('plants/:plantId/troubles')
  @HttpCode(200)
  accept(
    @Param('gardenId') gardenId: string,
    @Param('plantId') plantId: string,
    @Body() body: AcceptFinding,
  ): Promise<TroubleDto> {
    return this.troubles.accept(gardenId, plantId, body);
  }

  @Post('troubles/:troubleId/outcome')
  @HttpCode(200)
  close(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('troubleId') troubleId: string,
    @Body() body: TroubleOutcome,
  ): Promise<TroubleDto> {
    return this.troubles.close(gardenId, accountId, troubleId, body.outcome);
  }

  @Post('tasks/:key/done')
  @HttpCode(200)
  done(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('key') key: string,
    @Body() body: TaskDone,
  ): Promise<{ recordId: string | null }> {
    return this.tasks.done(gardenId, accountId, key, body.recordId ?? uuid());
  }

  @Post('tasks/:key/undo')
  @HttpCode(204)
  undo(@Param('gardenId') gardenId: string, @Param('key') key: string, @Body() body: TaskDone): Promise<void> {
    return this.tasks.undo(gardenId, key, body.recordId ?? null);
  }

  @Post('tasks/:key/not-today')
  @HttpCode(204)
  notToday(@Param('gardenId') gardenId: string, @Param('key') key: string): Promise<void> {
    return this.tasks.notToday(gardenId, key);
  }
}
