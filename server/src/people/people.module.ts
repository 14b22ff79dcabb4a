import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/accounts.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { MailModule } from '../mail/mail.module.js';
import { AccessKeysController } from './access-keys.controller.js';
import { AccessKeysService } from './access-keys.service.js';
import { LeavingController } from './leaving.controller.js';
import { LeavingService } from './leaving.service.js';
import { PeopleController } from './people.controller.js';
import { PeopleService } from './people.service.js';

/** Members, invitations, access keys and leaving. */
@Module({
  imports: [AccountsModule, GardensModule, MailModule],
  controllers: [PeopleController, LeavingController, AccessKeysController],
  providers: [PeopleService, LeavingService, AccessKeysService],
  exports: [LeavingService],
})
export class PeopleModule {}
