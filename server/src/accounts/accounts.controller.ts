import { Body, Controller, Delete, Get, HttpCode, Ip, Post, Req, UnauthorizedException } from '@nestjs/common';
import { SignIn, SignUp, type Me } from '@candid-leaf/contract';
import { promisify } from 'node:util';
import type { Request } from 'express';
import { AccountsService } from './accounts.service.js';
import { Public } from './session.js';

@Controller('api')
export class AccountsController {
  constructor(private readonly accounts: AccountsService) {}

  @Public()
  @Post('accounts')
  async signUp(@Body() body: SignUp, @Req() request: Request): Promise<Me> {
    return this.begin(request, await this.accounts.signUp(body));
  }

  @Public()
  @Post('session')
  async signIn(@Body() body: SignIn, @Req() request: Request, @Ip() address: string): Promise<Me> {
    return this.begin(request, await this.accounts.signIn(body, address));
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
  private async begin(request: Request, me: Me): Promise<Me> {
    await promisify(request.session.regenerate.bind(request.session))();
    request.session.accountId = me.id;
    return me;
  }
}
