import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { CalendarLinkDto, NewCalendarLink } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import type { DataSource } from 'typeorm';
import { Snapshots } from '../assessment/snapshots.service.js';
import { Clock } from '../shared/clock.js';
import { notFound } from '../shared/http-errors.js';
import { hashOf, newSecret } from '../shared/secrets.js';
import { inTransaction } from '../shared/transactions.js';
import { SeasonService } from '../season/season.service.js';
import { titleWithAmount } from '../today/title-with-amount.js';
import { TodayService } from '../today/today.service.js';
import { CalendarLinkEntity } from './calendar.entity.js';
import { asCalendar, type Entry } from './as-calendar.js';

/** Days ahead beyond which tasks are too uncertain for a calendar. */
const AHEAD_DAYS = 60;

/** The calendar of a garden, behind a secret link that can be removed. */
@Injectable()
export class CalendarService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly snapshots: Snapshots,
    private readonly today: TodayService,
    private readonly season: SeasonService,
    private readonly clock: Clock,
  ) {}

  async state(gardenId: string): Promise<CalendarLinkDto> {
    const link = await this.db.manager.findOneBy(CalendarLinkEntity, { gardenId });
    return { madeAt: link?.madeAt.toISOString() ?? null };
  }

  /** Creates a new secret and ends the one before it. It is shown only once. */
  async renew(gardenId: string, madeBy: string): Promise<NewCalendarLink> {
    const secret = newSecret();
    const madeAt = this.clock.now();
    await inTransaction(this.db, (m) =>
      m.upsert(CalendarLinkEntity, { gardenId, secretHash: hashOf(secret), madeAt, madeBy }, ['gardenId']),
    );
    return { madeAt: madeAt.toISOString(), path: `/api/calendars/${secret}/garden.ics` };
  }

  async revoke(gardenId: string): Promise<void> {
    await this.db.manager.delete(CalendarLinkEntity, { gardenId });
  }

  /** Returns the garden behind a secret. An unknown or expired one gets only "not found". */
  async gardenBehind(secret: string): Promise<string> {
    const link = await this.db.manager.findOneBy(CalendarLinkEntity, { secretHash: hashOf(secret) });
    if (!link) throw notFound('calendar');
    return link.gardenId;
  }

  /** Returns a garden's calendar as text. */
  async read(gardenId: string): Promise<string> {
    const s = await this.snapshots.load(gardenId);
    const { all } = await this.today.list(s);
    const until = addDays(s.today, AHEAD_DAYS);
    const tasks = all
      .filter((t) => !t.held && t.dueOn <= until)
      .map((t): Entry => ({
        id: t.key,
        // overdue tasks are due today
        from: t.dueOn < s.today ? s.today : t.dueOn,
        to: t.dueOn < s.today ? s.today : t.dueOn,
        title: titleWithAmount(t, s.format),
        // short: the page has the steps; cautions stand where the act is
        text: [t.where, t.why, ...t.cautions].filter(Boolean).join('\n'),
        alarm: true,
      }));
    const { lines, season } = await this.season.view(gardenId);
    const dates = lines.flatMap((line) =>
      line.bands
        .filter((b) => !b.done && b.to >= s.today)
        .map((b): Entry => ({
          id: `${season.label} ${line.label} ${b.what}`,
          from: b.from,
          to: b.to,
          title: `${b.title}: ${line.label}`,
          text: b.text,
        })),
    );
    return asCalendar(s.garden.name, [...tasks, ...dates], this.clock.now());
  }
}
