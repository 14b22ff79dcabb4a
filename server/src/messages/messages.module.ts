import { Module } from '@nestjs/common';
import { AssessmentModule } from '../assessment/assessment.module.js';
import { GardensModule } from '../gardens/gardens.module.js';
import { MailModule } from '../mail/mail.module.js';
import { TodayModule } from '../today/today.module.js';
import { MessageChoices } from './choices.service.js';
import { MessagesController } from './messages.controller.js';
import { OpenedLinks } from './opened-links.service.js';
import { Push } from './push.service.js';
import { GardenNewsService } from './garden-news.service.js';
import { MessageRounds } from './rounds.service.js';
import { SendMessages } from './send-messages.service.js';

/** Morning lists and warnings, by mail and on devices. */
@Module({
  imports: [AssessmentModule, GardensModule, MailModule, TodayModule],
  controllers: [MessagesController],
  providers: [MessageChoices, Push, SendMessages, GardenNewsService, MessageRounds, OpenedLinks],
})
export class MessagesModule {}
