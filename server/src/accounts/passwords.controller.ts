import { Body, Controller, Delete, HttpCode, Ip, Post, Put, Req } from '@nestjs/common';
import { PasswordChange, PasswordForgotten, PasswordReset } from '@candid-leaf/contract';
import type { Request } from 'express';
import { PasswordsService } from './passwords.service.js';
import { AccountId, Public } from './session.js';
import { beginSession, endSession } from './sessions.js';

/** Routes to change and reset a password. */
@Controller('api')
export class PasswordsController {
  constructor(private readonly passwords: PasswordsService) {}

  /** Ends all other sessions; this one continues. */
  @Put('account/password')
  @HttpCode(204)
  async change(@AccountId() accountId: string, @Body() body: PasswordChange, @Req() request: Request): Promise<void> {
    await beginSession(request, accountId, await this.passwords.change(accountId, body.old, body.password));
  }

  @Public()
  @Post('password/forgotten')
  @HttpCode(202)
  forgotten(@Body() body: PasswordForgotten, @Ip() address: string): Promise<void> {
    return this.passwords.forgotten(body.email, address);
  }

  @Public()
  @Post('password/new')
  @HttpCode(204)
  reset(@Body() body: PasswordReset): Promise<void> {
    return this.passwords.reset(body.secret, body.password);
  }

  @Delete('sessions')
  @HttpCode(204)
  async signOutEverywhere(@AccountId() accountId: string, @Req() request: Request): Promise<void> {
    await this.passwords.signOutEverywhere(accountId);
    await endSession(request);
  }
}
