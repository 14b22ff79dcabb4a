import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountEntity } from './account.entity.js';
import { AccountsController } from './accounts.controller.js';
import { AccountsService } from './accounts.service.js';
import { KnownDevices } from './known-devices.js';
import { MailModule } from '../mail/mail.module.js';
import { PasswordsController } from './passwords.controller.js';
import { PasswordsService } from './passwords.service.js';
import { Sweep } from './sweep.service.js';
import { Tries } from './tries.js';

/** Accounts, sessions and passwords. */
@Module({
  imports: [MailModule, TypeOrmModule.forFeature([AccountEntity])],
  controllers: [AccountsController, PasswordsController],
  providers: [AccountsService, PasswordsService, Tries, KnownDevices, Sweep],
  exports: [AccountsService],
})
export class AccountsModule {}
