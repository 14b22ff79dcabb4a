import { Body, Controller, Delete, HttpCode, Post } from '@nestjs/common';
import { PasswordOnly, type Me } from '@candid-leaf/contract';
import { AccountId } from '../accounts/session.js';
import { LeavingService } from './leaving.service.js';

/** Routes to delete one's account, and to change one's mind. */
@Controller('api/account/leaving')
export class LeavingController {
  constructor(private readonly leaving: LeavingService) {}

  @Post()
  @HttpCode(200)
  ask(@AccountId() accountId: string, @Body() body: PasswordOnly): Promise<Me> {
    return this.leaving.ask(accountId, body.password);
  }

  @Delete()
  stay(@AccountId() accountId: string): Promise<Me> {
    return this.leaving.stay(accountId);
  }
}
