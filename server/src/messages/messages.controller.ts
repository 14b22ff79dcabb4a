import { Body, Controller, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import {
  MessageChoice,
  PushDeviceGone,
  PushDeviceInput,
  type MessageLinkDto,
  type MessagesDto,
} from '@candid-leaf/contract';
import { AccountId, Needs, PeopleOnly, Public } from '../accounts/session.js';
import { MessageChoices } from './choices.service.js';
import { OpenedLinks } from './opened-links.service.js';

/** Routes of morning lists and warnings: the choice, the devices, and what the links in messages do. */
@Controller('api')
export class MessagesController {
  constructor(
    private readonly choices: MessageChoices,
    private readonly links: OpenedLinks,
  ) {}

  @PeopleOnly()
  @Get('gardens/:gardenId/messages')
  read(@Param('gardenId') gardenId: string, @AccountId() accountId: string): Promise<MessagesDto> {
    return this.choices.of(accountId, gardenId);
  }

  /** Everyone chooses for themselves, so the least role is enough. */
  @PeopleOnly()
  @Needs('look')
  @Put('gardens/:gardenId/messages')
  put(
    @Param('gardenId') gardenId: string,
    @AccountId() accountId: string,
    @Body() body: MessageChoice,
  ): Promise<MessagesDto> {
    return this.choices.put(accountId, gardenId, body);
  }

  @Post('devices')
  @HttpCode(204)
  addDevice(@AccountId() accountId: string, @Body() body: PushDeviceInput): Promise<void> {
    return this.choices.addDevice(accountId, body);
  }

  @Post('devices/remove')
  @HttpCode(204)
  removeDevice(@AccountId() accountId: string, @Body() body: PushDeviceGone): Promise<void> {
    return this.choices.removeDevice(accountId, body.endpoint);
  }

  @Public()
  @Get('messages/link/:token')
  link(@Param('token') token: string): Promise<MessageLinkDto> {
    return this.links.read(token);
  }

  /** Mail programs post here by themselves when a person asks them to (RFC 8058). */
  @Public()
  @Post('messages/off/:token')
  @HttpCode(204)
  off(@Param('token') token: string): Promise<void> {
    return this.links.off(token);
  }

  @Public()
  @Post('messages/done/:token')
  @HttpCode(204)
  done(@Param('token') token: string): Promise<void> {
    return this.links.done(token);
  }
}
