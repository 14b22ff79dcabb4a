import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { createTransport, type Transporter } from 'nodemailer';
import { CONFIG, type Config } from '../config.js';
import { inBackground } from '../shared/background.js';
import { unavailable } from '../shared/http-errors.js';

const PATIENCE_MS = 10_000;

/** A mail that may be sent again after a failure. */
export interface NamedMail {
  id: string;
  to: string;
  subject: string;
  text: string;
  headers: Record<string, string>;
}

/** Sends mail through the configured SMTP server, if any. */
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

  /** True if mail can be sent: links also need a known public address. */
  get works(): boolean {
    return this.transport !== null && this.config.publicUrl !== null;
  }

  /** @throws 503 if no mail can be sent */
  mustWork(): void {
    if (!this.works) throw unavailable('This server does not send mail. Ask the person who runs it.');
  }

  /** Returns the address of a page for a mail. The secret is behind `#`, so no server on the way sees or logs it. */
  linkTo(path: string, secret: string): string {
    return `${this.config.publicUrl ?? ''}${path}#${secret}`;
  }

  /**
   * Sends and waits until the mail server took it. A mail program shows two mails with one id as one.
   * @throws if it was not taken
   */
  async deliver({ id, ...mail }: NamedMail): Promise<void> {
    this.mustWork();
    const host = new URL(this.config.publicUrl!).hostname;
    await this.transport!.sendMail({ from: this.config.mailFrom, messageId: `<${id}@${host}>`, ...mail });
  }

  /** Sends in the background, so the response time does not reveal whether there was a recipient. */
  send(to: string, subject: string, text: string): void {
    void inBackground('a mail', async () => {
      await this.transport?.sendMail({ from: this.config.mailFrom, to, subject, text });
    });
  }
}
