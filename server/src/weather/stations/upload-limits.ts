import { HttpException, HttpStatus, Injectable } from '@nestjs/common';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { networkOf } from '../../shared/network.js';

/** Uploads of one station in a minute: the quickest send every few seconds (from memory). */
const PER_STATION = 30;
/** Wrong keys from one address in a minute. */
const WRONG_KEYS = 20;

/** Limits uploads: a station that sends too often, or an address that tries keys, must wait, and costs no query. */
@Injectable()
export class UploadLimits {
  private readonly stations = new RateLimiterMemory({ points: PER_STATION, duration: 60 });
  private readonly wrong = new RateLimiterMemory({ points: WRONG_KEYS, duration: 60 });

  /**
   * Returns what the key opens, if neither it nor its address came too often.
   * @throws 429 with the waiting time
   */
  async pass(key: string, address: string, open: () => Promise<string | null>): Promise<string | null> {
    const network = networkOf(address);
    const tried = await this.wrong.get(network);
    if (tried && tried.consumedPoints >= WRONG_KEYS) throw tooOften(tried);
    await this.stations.consume(key || network).catch((error: unknown) => {
      throw error instanceof RateLimiterRes ? tooOften(error) : error;
    });
    const gardenId = await open();
    if (gardenId === null) await this.wrong.penalty(network);
    return gardenId;
  }
}

const tooOften = ({ msBeforeNext }: RateLimiterRes): HttpException =>
  new HttpException(
    {
      message: 'This station sends too often: once a minute is enough.',
      retryAfterS: Math.max(1, Math.ceil(msBeforeNext / 1000)),
    },
    HttpStatus.TOO_MANY_REQUESTS,
  );
