import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { createTransport, type Transporter } from 'nodemailer';
import { CONFIG, type Config } from '../config.js';
import { inBackground } from '../shared/background.js';
import { unavailable } from '../shared/http-errors.js';

const PATIENCE_MS = 10_000;

/** The one way out for mail: an SMTP server of the configuration's choice, or none. */
@Injectable()
export class Mail implements OnModuleDestroy {
  private readonly transport: Transporter | null;

  constructor(@Inject(CONFIG) private readonly config: Config) {
    this.transport = config.smtpUrl
      ? createTransport({
          url: config.smtpUrl,
          connectionTimeout: PATIENCE_MS,
          greetingTimeout: PATIENCE_MS,
          socketTimeout: PATIENCE_MS,
        } as object)
      : null;
  }

  onModuleDestroy(): void {
    this.transport?.close();
  }

  /** Can mail be sent from here? Its links lead back only where it is known under which address this server is found. */
  get works(): boolean {
    return this.transport !== null && this.config.publicUrl !== null;
  }

  /** @throws 503 where no mail is sent from here */
  mustWork(): void {
    if (!this.works) throw unavailable('This server does not send mail. Ask the person who runs it.');
  }

  /** The address of a page here, for a link in a mail. The secret stands behind `#`: no server on the way sees or logs it. */
  linkTo(path: string, secret: string): string {
    return `${this.config.publicUrl ?? ''}${path}#${secret}`;
  }

  /** Sends it while nobody waits, so that how long an answer takes tells nothing of whether there was somebody to write to. */
  send(to: string, subject: string, text: string): void {
    void inBackground('a mail', async () => {
      await this.transport?.sendMail({ from: this.config.mailFrom, to, subject, text });
    });
  }
}
