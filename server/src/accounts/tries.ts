import { HttpException, HttpStatus, Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import mysql from 'mysql2';
import { RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible';
import { CONFIG, type Config } from '../config.js';

const QUARTER_S = 15 * 60;
const HOUR_S = 3600;
/** Sign-ins that may fail within a quarter of an hour: on one account from browsers it does not know, on one known browser, from one address. */
const TRIES = { account: 8, device: 8, address: 60 };
/** Mails that may be asked for in an hour: to one address of mail, from one address of the net. */
const MAILS = { 'mail-to': 3, 'mail-from': 20 };

type What = keyof typeof TRIES | keyof typeof MAILS | 'sign-up';

/**
 * How often somebody may try. A try is taken before it is looked at, so that sixty at once are no more than sixty one after
 * the other; it is given back where it was right.
 */
@Injectable()
export class Tries implements OnModuleDestroy {
  private readonly pool: mysql.Pool;
  private readonly limiters: Record<What, RateLimiterMySQL>;

  constructor(@Inject(CONFIG) config: Config) {
    this.pool = mysql.createPool({ uri: config.databaseUrl, connectionLimit: 3, connectTimeout: 3000 });
    const limiter = (keyPrefix: string, points: number, duration: number) =>
      new RateLimiterMySQL({
        storeClient: this.pool,
        storeType: 'pool', // a connection for each try: its reading and its writing belong together
        dbName: new URL(config.databaseUrl).pathname.slice(1),
        tableName: 'login_attempt',
        tableCreated: true,
        clearExpiredByTimeout: false,
        keyPrefix,
        points,
        duration,
      });
    this.limiters = {
      account: limiter('account', TRIES.account, QUARTER_S),
      device: limiter('device', TRIES.device, QUARTER_S),
      address: limiter('address', TRIES.address, QUARTER_S),
      'mail-to': limiter('mail-to', MAILS['mail-to'], HOUR_S),
      'mail-from': limiter('mail-from', MAILS['mail-from'], HOUR_S),
      'sign-up': limiter('sign-up', config.signUpsPerHour, HOUR_S),
    };
  }

  async onModuleDestroy(): Promise<void> {
    await new Promise<void>((done) => this.pool.end(() => done()));
  }

  /** Takes a try. @throws 429 with the time to wait when there is none left */
  async take(what: What, key: string): Promise<void> {
    try {
      await this.limiters[what].consume(cut(key));
    } catch (error) {
      if (error instanceof RateLimiterRes) throw tooMany(error);
      throw error;
    }
  }

  async giveBack(what: What, key: string): Promise<void> {
    await this.limiters[what].reward(cut(key), 1);
  }
}

/** What the table has room for. */
const cut = (key: string): string => key.slice(0, 220);

function tooMany(state: RateLimiterRes): HttpException {
  const retryAfterS = Math.max(1, Math.ceil(state.msBeforeNext / 1000));
  return new HttpException(
    { message: `Too many attempts. Wait ${Math.ceil(retryAfterS / 60)} minutes.`, retryAfterS },
    HttpStatus.TOO_MANY_REQUESTS,
  );
}
