import { Injectable } from '@nestjs/common';
import { Cron, CronExpression } from '@nestjs/schedule';
import { InjectDataSource } from '@nestjs/typeorm';
import { grouped, wallClock, type Day } from '@candid-leaf/core/units';
import { LessThan, type DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { GardensService } from '../gardens/gardens.service.js';
import { inBackground } from '../shared/background.js';
import { Clock } from '../shared/clock.js';
import type { Rendered } from '../shared/workers.js';
import { GardenNewsService } from './garden-news.service.js';
import { MessageEntity, type Channel, type MessageState, type MessageWords } from './message.entities.js';
import { SendMessages } from './send-messages.service.js';
import { morningText, morningTitle, warningText, type GardenNews } from './words.js';

/** A morning list that could not be made within so many hours after the quiet time is of no use. */
const MORNING_HOURS = 4;
/** Warnings are looked for from this hour on: late enough for the forecast, early enough to act in daylight. */
const EVENING_HOUR = 17;
/** Sent messages are remembered for so long, without their words. */
const REMEMBERED_MS = 14 * 24 * 3600 * 1000;

/** One person's choice in one garden, with what decides the garden's time of day. */
interface Wanting {
  accountId: string;
  gardenId: string;
  morning: number;
  warnings: number;
  byMail: number;
  byPush: number;
  quietFrom: number;
  quietUntil: number;
  timeZone: string;
  pinnedDate: Day | null;
  weatherRevision: number;
}

/** Finds out, minute by minute, who is to get which message, and notes each exactly once. */
@Injectable()
export class MessageRounds {
  private readonly news: (gardenId: string) => Promise<Rendered<GardenNews>>;
  private busy = false;
  /** the forecast a garden's evening was last judged by */
  private readonly judged = new Map<string, string>();

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly sending: SendMessages,
    private readonly clock: Clock,
    news: GardenNewsService,
  ) {
    this.news = news.of;
  }

  /** One round at a time: a slow one is not overtaken. */
  @Cron(CronExpression.EVERY_MINUTE)
  async go(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    try {
      await inBackground('the round of messages', () => this.note());
      await inBackground('sending messages', () => this.sending.all());
    } finally {
      this.busy = false;
    }
  }

  /** Notes what is due now. Two processes may do it at once: a message is noted once. */
  async note(): Promise<void> {
    const wanting = await this.wanting();
    const noted = await this.noted();
    const byGarden = grouped(wanting, (w) => w.gardenId);
    for (const [gardenId, people] of byGarden)
      await inBackground(`messages of garden ${gardenId}`, () => this.ofGarden(gardenId, people, noted));
    await this.db.manager.delete(MessageEntity, { at: LessThan(this.longAgo()) });
  }

  private async ofGarden(gardenId: string, people: readonly Wanting[], noted: ReadonlySet<string>): Promise<void> {
    const [{ timeZone, weatherRevision }] = people as [Wanting];
    const hour = Number(wallClock(timeZone, this.clock.now().getTime()).slice(11, 13));
    const today = this.gardens.today(people[0]!);
    const forMorning = people.filter(
      (p) =>
        p.morning &&
        hour >= p.quietUntil &&
        hour < p.quietUntil + MORNING_HOURS &&
        channelsOf(p).some((channel) => !noted.has(nameOf(p, 'morning', today, channel))),
    );
    const evening = people.filter((p) => p.warnings && hour >= EVENING_HOUR && hour < p.quietFrom);
    const forecast = `${today} ${weatherRevision} ${evening.map((p) => p.accountId).join()}`;
    const forEvening = this.judged.get(gardenId) === forecast ? [] : evening;
    if (forMorning.length === 0 && forEvening.length === 0) return;
    const news = JSON.parse(await this.news(gardenId)) as GardenNews;
    for (const person of forMorning)
      await this.add(person, 'morning', news.day, news.morning.length > 0 ? morningOf(news, gardenId) : null);
    for (const person of forEvening)
      for (const warning of news.warnings)
        await this.add(person, warning.event, warning.on, {
          title: warning.title,
          text: warningText(warning),
          path: `/gardens/${gardenId}`,
          lines: null,
        });
    if (evening.length > 0) this.judged.set(gardenId, forecast);
  }

  private async add(person: Wanting, event: string, day: Day, words: MessageWords | null): Promise<void> {
    const state: MessageState = words ? 'due' : 'none';
    for (const channel of channelsOf(person))
      await this.db.query(
        `INSERT IGNORE INTO message (id, accountId, gardenId, event, day, channel, state, at, tries, words) VALUES (?, ?, ?, ?, ?, ?, ?, ?, 0, ?)`,
        [
          uuid(),
          person.accountId,
          person.gardenId,
          event,
          day,
          channel,
          state,
          this.clock.now(),
          words && JSON.stringify(words),
        ],
      );
  }

  private wanting(): Promise<Wanting[]> {
    return this.db.query<Wanting[]>(
      `SELECT c.*, g.timeZone, g.pinnedDate, g.weatherRevision FROM message_choice c JOIN garden g ON g.id = c.gardenId
        WHERE (c.morning OR c.warnings) AND (c.byMail OR c.byPush)`,
    );
  }

  /** Morning lists of these days: they are not computed again. */
  private async noted(): Promise<Set<string>> {
    const rows = await this.db.manager.find(MessageEntity, {
      select: { accountId: true, gardenId: true, event: true, day: true, channel: true },
      where: { event: 'morning' },
    });
    return new Set(rows.map((r) => nameOf(r, r.event, r.day, r.channel)));
  }

  /** By when it was noted: a garden on a chosen day may have its days long ago. */
  private longAgo(): Date {
    return new Date(this.clock.now().getTime() - REMEMBERED_MS);
  }
}

const channelsOf = (p: Wanting): Channel[] => [
  ...(p.byMail ? (['mail'] as const) : []),
  ...(p.byPush ? (['push'] as const) : []),
];
const nameOf = (p: { accountId: string; gardenId: string }, event: string, day: Day, channel: Channel): string =>
  [p.accountId, p.gardenId, event, day, channel].join(' ');

const morningOf = (news: GardenNews, gardenId: string): MessageWords => ({
  title: morningTitle(news.morning.length, news.garden),
  text: morningText(news.morning, null),
  path: `/gardens/${gardenId}`,
  lines: news.morning,
});
