import { Body, Controller, Delete, Get, HttpCode, Ip, Post, Req, Res, UnauthorizedException } from '@nestjs/common';
import { SignIn, SignUp, type Me } from '@candid-leaf/contract';
import { promisify } from 'node:util';
import type { Request, Response } from 'express';
import { AccountsService } from './accounts.service.js';
import { KnownDevices } from './known-devices.js';
import { Public } from './session.js';

@Controller('api')
export class AccountsController {
  constructor(
    private readonly accounts: AccountsService,
    private readonly devices: KnownDevices,
  ) {}

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
  async me(@Req() request: Request): Promise<Me> {
    const me = await this.accounts.byId(request.session.accountId!);
    if (!me) throw new UnauthorizedException('Sign in first.');
    return me;
  }

  @Delete('session')
  @HttpCode(204)
  async signOut(@Req() request: Request): Promise<void> {
    await promisify(request.session.destroy.bind(request.session))();
  }

  /** A fresh session id at every sign-in, so that an old one cannot be handed on. */
  private async begin(request: Request, response: Response, me: Me): Promise<Me> {
    await promisify(request.session.regenerate.bind(request.session))();
    request.session.accountId = me.id;
    // kept before it is answered: a session that could not be kept is a sign-in that failed
    await promisify(request.session.save.bind(request.session))();
    this.devices.remember(request, response, me.id);
    return me;
  }
}
