import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountEntity } from './account.entity.js';
import { AccountsController } from './accounts.controller.js';
import { AccountsService } from './accounts.service.js';
import { KnownDevices } from './known-devices.js';
import { Sweep } from './sweep.service.js';
import { Tries } from './tries.js';

@Module({
  imports: [TypeOrmModule.forFeature([AccountEntity])],
  controllers: [AccountsController],
  providers: [AccountsService, Tries, KnownDevices, Sweep],
})
export class AccountsModule {}
