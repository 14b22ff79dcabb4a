import { PracticeAnswerInput, type PracticeDto } from '@candid-leaf/contract';
import { Body, Controller, Get, Put } from '@nestjs/common';
import { AccountId } from '../accounts/session.js';
import { PracticeService } from './practice.service.js';

/** Practice answers, for the signed-in account only. */
@Controller('api/practice')
export class PracticeController {
  constructor(private readonly practice: PracticeService) {}

  @Get()
  mine(@AccountId() accountId: string): Promise<PracticeDto> {
    return this.practice.of(accountId);
  }

  @Put()
  keep(@AccountId() accountId: string, @Body() body: PracticeAnswerInput): Promise<PracticeDto> {
    return this.practice.keep(accountId, body);
  }
}
