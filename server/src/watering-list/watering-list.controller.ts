import { Body, Controller, Delete, Get, HttpCode, Param, Post, StreamableFile } from '@nestjs/common';
import { WateringListInput, WateringTick, type NewLink, type WateringListDto } from '@candid-leaf/contract';
import { AccountId, PeopleOnly, Public } from '../accounts/session.js';
import { asJson } from '../shared/as-json.js';
import { Workers } from '../shared/workers.js';
import { WateringListService } from './watering-list.service.js';

/** Routes of a watering list, open to anyone with its link. */
@Controller('api')
export class WateringListController {
  private readonly view;
  private readonly tick;
  private readonly undo;

  constructor(
    private readonly lists: WateringListService,
    workers: Workers,
  ) {
    this.view = workers.offerReading('a watering list', (gardenId: string, listId: string) =>
      lists.view(gardenId, listId),
    );
    this.tick = workers.offer(
      'tick on a watering list',
      (gardenId: string, listId: string, key: string, recordId: string) => lists.tick(gardenId, listId, key, recordId),
    );
    this.undo = workers.offer(
      'undo on a watering list',
      (gardenId: string, listId: string, key: string, recordId: string) => lists.undo(gardenId, listId, key, recordId),
    );
  }

  @Get('gardens/:gardenId/watering-lists')
  list(@Param('gardenId') gardenId: string): Promise<WateringListDto[]> {
    return this.lists.list(gardenId);
  }

  @PeopleOnly()
  @Post('gardens/:gardenId/watering-lists')
  @HttpCode(200)
  make(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Body() body: WateringListInput,
  ): Promise<NewLink> {
    return this.lists.make(gardenId, accountId, body);
  }

  @PeopleOnly()
  @Delete('gardens/:gardenId/watering-lists/:listId')
  @HttpCode(204)
  revoke(@Param('gardenId') gardenId: string, @Param('listId') listId: string): Promise<void> {
    return this.lists.revoke(gardenId, listId);
  }

  /** The helper has no account, only the secret in the address. */
  @Public()
  @Get('watering/:secret')
  async read(@Param('secret') secret: string): Promise<StreamableFile> {
    const { gardenId, id } = await this.lists.opened(secret);
    return asJson(await this.view(gardenId, id));
  }

  @Public()
  @Post('watering/:secret/ticks')
  @HttpCode(200)
  async done(@Param('secret') secret: string, @Body() body: WateringTick): Promise<StreamableFile> {
    const { gardenId, id } = await this.lists.opened(secret);
    return asJson(await this.tick(gardenId, id, body.key, body.recordId));
  }

  @Public()
  @Post('watering/:secret/undo')
  @HttpCode(204)
  async takeBack(@Param('secret') secret: string, @Body() body: WateringTick): Promise<void> {
    const { gardenId, id } = await this.lists.opened(secret);
    await this.undo(gardenId, id, body.key, body.recordId);
  }
}
