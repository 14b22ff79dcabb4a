import { HttpException, HttpStatus, Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import mysql from 'mysql2';
import { RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible';
import { CONFIG, CONNECT_MS, type Config } from '../config.js';
import { networkOf } from '../shared/network.js';

const QUARTER_S = 15 * 60;
const HOUR_S = 3600;
/**
 * Failed sign-ins allowed per quarter of an hour: per account from unknown browsers, per known browser, per address.
 */
const TRIES = { account: 8, device: 8, address: 60 };
/** Mails allowed per hour: to one mailbox, from one network address. */
const MAILS = { 'mail-to': 3, 'mail-from': 20 };

type What = keyof typeof TRIES | keyof typeof MAILS | 'sign-up';

/**
 * Limits attempts. An attempt is taken before it is checked, so sixty at once count like sixty in a row; it is given
 * back if it succeeded.
 */
@Injectable()
export class Tries implements OnModuleDestroy {
  private readonly pool: mysql.Pool;
  private readonly limiters: Record<What, RateLimiterMySQL>;

  constructor(@Inject(CONFIG) config: Config) {
    this.pool = mysql.createPool({ uri: config.databaseUrl, connectionLimit: 3, connectTimeout: CONNECT_MS });
    const limiter = (keyPrefix: string, points: number, duration: number) =>
      new RateLimiterMySQL({
        storeClient: this.pool,
        storeType: 'pool', // one connection per attempt: its read and write belong together
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

  /**
   * Takes an attempt.
   * @throws 429 with the waiting time when none is left
   */
  async take(what: What, key: string): Promise<void> {
    try {
      await this.limiters[what].consume(keyOf(what, key));
    } catch (error) {
      if (error instanceof RateLimiterRes) throw tooMany(error);
      throw error;
    }
  }

  async giveBack(what: What, key: string): Promise<void> {
    await this.limiters[what].reward(keyOf(what, key), 1);
  }
}

/** Limits by where a request comes from. */
const BY_NETWORK: ReadonlySet<What> = new Set(['address', 'mail-from', 'sign-up']);
/** Cut to the table's column width. */
const keyOf = (what: What, key: string): string => (BY_NETWORK.has(what) ? networkOf(key) : key).slice(0, 220);

function tooMany(state: RateLimiterRes): HttpException {
  const retryAfterS = Math.max(1, Math.ceil(state.msBeforeNext / 1000));
  return new HttpException(
    { message: `Too many attempts. Wait ${Math.ceil(retryAfterS / 60)} minutes.`, retryAfterS },
    HttpStatus.TOO_MANY_REQUESTS,
  );
}
