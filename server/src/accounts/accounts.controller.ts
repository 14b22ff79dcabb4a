import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Ip,
  Post,
  Req,
  Res,
  UnauthorizedException,
} from '@nestjs/common';
import { SignIn, SignUp, type Entry, type Me } from '@candid-leaf/contract';
import type { Request, Response } from 'express';
import { CONFIG, type Config } from '../config.js';
import { Mail } from '../mail/mail.service.js';
import { AccountsService } from './accounts.service.js';
import { KnownDevices } from './known-devices.js';
import { beginSession, endSession } from './sessions.js';
import { AccountId, Public } from './session.js';

/** Routes of the signed-in account: sign up, sign in, sign out. */
@Controller('api')
export class AccountsController {
  constructor(
    private readonly accounts: AccountsService,
    private readonly devices: KnownDevices,
    private readonly mail: Mail,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Public()
  @Get('entry')
  entry(): Entry {
    return { registration: this.config.registration, mail: this.mail.works, demo: this.config.demoGarden };
  }

  @Public()
  @Post('accounts')
  async signUp(
    @Body() body: SignUp,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
    @Ip() address: string,
  ): Promise<Me> {
    return this.begin(request, response, await this.accounts.signUp(body, address));
  }

  @Public()
  @Post('session')
  async signIn(
    @Body() body: SignIn,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
    @Ip() address: string,
  ): Promise<Me> {
    const deviceKnownTo = (accountId: string): string | null => this.devices.known(request, accountId);
    return this.begin(request, response, await this.accounts.signIn(body, { address, deviceKnownTo }));
  }

  @Get('session')
  async me(@AccountId() accountId: string): Promise<Me> {
    const me = await this.accounts.byId(accountId);
    if (!me) throw new UnauthorizedException('Sign in first.');
    return me;
  }

  @Delete('session')
  @HttpCode(204)
  async signOut(@Req() request: Request): Promise<void> {
    await endSession(request);
  }

  private async begin(request: Request, response: Response, me: Me): Promise<Me> {
    await beginSession(request, me.id, await this.accounts.sessionsSince(me.id));
    this.devices.remember(request, response, me.id);
    return me;
  }
}
