import { Inject, Injectable, Logger } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { wallClock, type Day } from '@candid-leaf/core/units';
import type { DataSource } from 'typeorm';
import { CONFIG, type Config } from '../config.js';
import { Mail } from '../mail/mail.service.js';
import { Clock } from '../shared/clock.js';
import { tokenFor } from './links.js';
import { MessageEntity, type Channel, type MessageState, type MessageWords } from './message.entities.js';
import { Push } from './push.service.js';
import { morningText } from './words.js';

const HOUR_MS = 3600 * 1000;
/** A link that ticks a task works for three days. */
const TICK_MS = 72 * HOUR_MS;
/** The link that turns messages off works for a year. */
const OFF_MS = 365 * 24 * HOUR_MS;
/** A process that began to send and said nothing since has ended. */
const FORGOTTEN_MS = 2 * 60_000;
const MOST_TRIES = 6;
const FIRST_PAUSE_MS = 60_000;
/** A morning list after noon is of no use. */
const NOON = 12;
const AT_ONCE = 200;
const SIDE_BY_SIDE = 8;

/** A message with what decides whether it may still be sent. */
interface Waiting {
  id: string;
  accountId: string;
  gardenId: string;
  event: string;
  day: Day;
  channel: Channel;
  state: MessageState;
  at: Date;
  tries: number;
  words: string;
  email: string;
  quietFrom: number;
  timeZone: string;
  pinnedDate: Day | null;
}

/**
 * Sends what is due. Each message is taken by one process, and marked when it went. A process that ends in between leaves
 * it for the next one: then it may go twice, under the same name, which mail programs and devices show once.
 */
@Injectable()
export class SendMessages {
  private readonly log = new Logger(SendMessages.name);

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    @Inject(CONFIG) private readonly config: Config,
    private readonly mail: Mail,
    private readonly push: Push,
    private readonly clock: Clock,
  ) {}

  async all(): Promise<void> {
    const waiting = await this.waiting();
    // side by side: a mail server or device that hangs does not hold up the messages of others
    const inTurn = async (): Promise<void> => {
      for (let m = waiting.shift(); m; m = waiting.shift()) if (await this.take(m)) await this.send(m);
    };
    await Promise.all(Array.from({ length: SIDE_BY_SIDE }, inTurn));
  }

  private waiting(): Promise<Waiting[]> {
    const now = this.clock.now();
    return this.db.query<Waiting[]>(
      `SELECT m.*, a.email, c.quietFrom, g.timeZone, g.pinnedDate FROM message m
        JOIN account a ON a.id = m.accountId JOIN garden g ON g.id = m.gardenId
        JOIN message_choice c ON c.accountId = m.accountId AND c.gardenId = m.gardenId
        WHERE (m.state = 'due' AND m.at <= ?) OR (m.state = 'sending' AND m.at < ?) ORDER BY m.at LIMIT ${AT_ONCE}`,
      [now, new Date(now.getTime() - FORGOTTEN_MS)],
    );
  }

  /** Returns whether this process is the one that sends it. */
  private async take(m: Waiting): Promise<boolean> {
    const { affectedRows } = await this.db.query<{ affectedRows: number }>(
      `UPDATE message SET state = 'sending', at = ?, tries = tries + 1 WHERE id = ? AND state = ? AND tries = ?`,
      [this.clock.now(), m.id, m.state, m.tries],
    );
    return affectedRows === 1;
  }

  private async send(m: Waiting): Promise<void> {
    const words = JSON.parse(m.words) as MessageWords;
    if (!this.isInTime(m)) return this.end(m, 'dropped');
    try {
      const taken = m.channel === 'mail' ? await this.asMail(m, words) : await this.asPush(m, words);
      await this.end(m, taken ? 'sent' : 'dropped');
    } catch (error) {
      this.log.warn(`a message by ${m.channel} failed: ${(error as Error).message}`);
      if (m.tries + 1 >= MOST_TRIES) return this.end(m, 'dropped');
      const at = new Date(this.clock.now().getTime() + FIRST_PAUSE_MS * 2 ** m.tries);
      await this.db.manager.update(MessageEntity, { id: m.id }, { state: 'due', at });
    }
  }

  private async end(m: Waiting, state: MessageState): Promise<void> {
    await this.db.manager.update(MessageEntity, { id: m.id }, { state, at: this.clock.now(), words: null });
  }

  /** A list is for its morning, a warning for the evening before its day and not for the quiet time. */
  private isInTime({ event, day, timeZone, pinnedDate, quietFrom }: Waiting): boolean {
    const wall = wallClock(timeZone, this.clock.now().getTime());
    const [today, hour] = [pinnedDate ?? wall.slice(0, 10), Number(wall.slice(11, 13))];
    return event === 'morning' ? day === today && hour < NOON : today < day && hour < quietFrom;
  }

  private async asMail(m: Waiting, { title, text, path, lines }: MessageWords): Promise<boolean> {
    if (!this.mail.works) return false;
    const off = this.offToken(m);
    const expires = this.clock.now().getTime() + TICK_MS;
    const { accountId, gardenId } = m;
    const body = lines
      ? morningText(lines, (task) =>
          this.mail.linkTo(
            '/messages/done',
            tokenFor(this.config.sessionSecret, { accountId, gardenId, task, expires }),
          ),
        )
      : text;
    const base = this.config.publicUrl ?? '';
    await this.mail.deliver({
      id: m.id,
      to: m.email,
      subject: title,
      text: `${body}\n\nOpen the garden: ${base}${path}\nTurn these messages off: ${this.mail.linkTo('/messages/off', off)}\n`,
      headers: {
        'List-Unsubscribe': `<${base}/api/messages/off/${off}>`,
        'List-Unsubscribe-Post': 'List-Unsubscribe=One-Click',
      },
    });
    return true;
  }

  private async asPush(m: Waiting, { title, text, path }: MessageWords): Promise<boolean> {
    const tag = `${m.event}-${m.day}-${m.gardenId.slice(0, 8)}`;
    return (await this.push.send(m.accountId, { title, text, path, tag, off: this.offToken(m) })) > 0;
  }

  private offToken({ accountId, gardenId }: Waiting): string {
    const expires = this.clock.now().getTime() + OFF_MS;
    return tokenFor(this.config.sessionSecret, { accountId, gardenId, task: null, expires });
  }
}
