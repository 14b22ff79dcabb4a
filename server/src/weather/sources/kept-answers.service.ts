import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Day } from '@candid-leaf/core/units';
import { Between, LessThan, type DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { Clock } from '../../shared/clock.js';
import { KeptAnswerEntity } from './kept-answer.entity.js';
import type { SourcePlace } from './source.js';

/** Gardens this near to each other have the same weather: km, and metres of height (judgement: 0.6 °C). */
export const SAME_WEATHER = { km: 5, heightM: 100 } as const;
const KM_PER_DEGREE = 111.2;
/** Answers older than this are of no use, days. */
const KEPT_DAYS = 400;

type Point = Pick<SourcePlace, 'latitude' | 'longitude' | 'elevationM'>;

/** A question whose answer is kept. */
export interface Question {
  source: string;
  what: string;
  place: Point;
  /** first day that is needed */
  since: Day;
}

/** A new answer. */
export interface NewAnswer {
  freshUntil: Date;
  lastModified?: string | null;
  /** first day it covers, if earlier than asked */
  since?: Day;
  /** null: what is kept is still right */
  body: unknown;
}

/** Returns whether two places share their weather. */
export function sharesWeather(a: Point, b: Point): boolean {
  const across = Math.cos((a.latitude * Math.PI) / 180);
  const north = (a.latitude - b.latitude) * KM_PER_DEGREE;
  const east = (a.longitude - b.longitude) * KM_PER_DEGREE * across;
  return Math.hypot(north, east) <= SAME_WEATHER.km && Math.abs(a.elevationM - b.elevationM) <= SAME_WEATHER.heightM;
}

/** What is known of a kept answer without its body. */
type KeptMeta = Omit<KeptAnswerEntity, 'body'>;

/** Keeps what weather services answered, for all gardens near a place. */
@Injectable()
export class KeptAnswers {
  /** questions on their way: nobody asks the same thing twice at once */
  private readonly asking = new Map<string, Promise<unknown>>();

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Returns whether there is an answer that is still fresh. */
  async isKept(q: Question): Promise<boolean> {
    const kept = await this.nearest(q);
    return kept !== null && this.isFresh(kept, q);
  }

  /**
   * Returns the kept answer, or asks for a new one.
   * @param ask gets what is kept already, to ask "only if changed"
   */
  async get<T>(q: Question, ask: (kept: { lastModified: string | null } | null) => Promise<NewAnswer>): Promise<T> {
    const key = JSON.stringify([q.source, q.what, q.place.latitude, q.place.longitude, q.place.elevationM, q.since]);
    const running = this.asking.get(key);
    if (running) return running as Promise<T>;
    const work = this.asked<T>(q, ask).finally(() => this.asking.delete(key));
    this.asking.set(key, work);
    return work;
  }

  private async asked<T>(q: Question, ask: (kept: KeptMeta | null) => Promise<NewAnswer>): Promise<T> {
    const kept = await this.nearest(q);
    if (kept && this.isFresh(kept, q)) return this.bodyOf<T>(kept);
    const usable = kept && kept.since <= q.since ? kept : null;
    const answer = await ask(usable);
    const { freshUntil, body } = answer;
    if (body === null && usable) {
      await this.db.manager.update(KeptAnswerEntity, { id: usable.id }, { freshUntil });
      return this.bodyOf<T>(usable);
    }
    await this.keep(q, answer);
    return body as T;
  }

  /** Keeps an answer in place of the one before. */
  async keep(q: Question, answer: NewAnswer): Promise<void> {
    const id = (await this.nearest(q))?.id ?? uuid();
    const { latitude, longitude, elevationM } = q.place;
    await this.db.manager.upsert(
      KeptAnswerEntity,
      {
        id,
        source: q.source,
        what: q.what,
        latitude,
        longitude,
        elevationM,
        since: answer.since ?? q.since,
        freshUntil: answer.freshUntil,
        lastModified: answer.lastModified ?? null,
        body: JSON.stringify(answer.body),
      },
      ['id'],
    );
  }

  /** Removes answers nobody will ask for again. */
  async tidy(): Promise<void> {
    const before = new Date(this.clock.now().getTime() - KEPT_DAYS * 24 * 3_600_000);
    await this.db.manager.delete(KeptAnswerEntity, { freshUntil: LessThan(before) });
  }

  private async bodyOf<T>({ id }: KeptMeta): Promise<T> {
    const { body } = await this.db.manager.findOneOrFail(KeptAnswerEntity, { select: { body: true }, where: { id } });
    return JSON.parse(body) as T;
  }

  private isFresh(kept: KeptMeta, q: Question): boolean {
    return kept.since <= q.since && kept.freshUntil > this.clock.now();
  }

  private async nearest(q: Question): Promise<KeptMeta | null> {
    const { latitude, longitude } = q.place;
    const north = SAME_WEATHER.km / KM_PER_DEGREE;
    const east = north / Math.max(0.1, Math.cos((latitude * Math.PI) / 180));
    const near = await this.db.manager.find(KeptAnswerEntity, {
      // bodies are long: only one is read
      select: {
        id: true,
        latitude: true,
        longitude: true,
        elevationM: true,
        since: true,
        freshUntil: true,
        lastModified: true,
      },
      where: {
        source: q.source,
        what: q.what,
        latitude: Between(latitude - north, latitude + north),
        longitude: Between(longitude - east, longitude + east),
      },
      order: { freshUntil: 'DESC' },
    });
    return near.find((k) => sharesWeather(q.place, k)) ?? null;
  }
}
