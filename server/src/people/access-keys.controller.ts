import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { AccessKeyInput, type AccessKeyDto, type NewAccessKey } from '@candid-leaf/contract';
import { AccountId, Needs, PeopleOnly } from '../accounts/session.js';
import { AccessKeysService } from './access-keys.service.js';

/** Every member may have keys; a key can do no more than its owner. */
@PeopleOnly()
@Needs('look')
@Controller('api/gardens/:gardenId/keys')
export class AccessKeysController {
  constructor(private readonly keys: AccessKeysService) {}

  @Get()
  list(@Param('gardenId') gardenId: string, @AccountId() accountId: string): Promise<AccessKeyDto[]> {
    return this.keys.list(gardenId, accountId);
  }

  @Post()
  @HttpCode(200)
  make(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Body() body: AccessKeyInput,
  ): Promise<NewAccessKey> {
    return this.keys.make(gardenId, accountId, body);
  }

  @Delete(':keyId')
  @HttpCode(204)
  remove(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Param('keyId') keyId: string,
  ): Promise<void> {
    return this.keys.remove(gardenId, accountId, keyId);
  }
}
