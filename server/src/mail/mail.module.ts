import { Module } from '@nestjs/common';
import { Mail } from './mail.service.js';

/** Sends mail. */
@Module({ providers: [Mail], exports: [Mail] })
export class MailModule {}
