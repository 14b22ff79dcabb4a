import {
  BrokenCircuitError,
  circuitBreaker,
  ConsecutiveBreaker,
  ExponentialBackoff,
  handleType,
  retry,
  wrap,
} from 'cockatiel';
import { NoWeather } from './source.js';

/** How an outside service is asked. */
export interface Manners {
  /** longest wait for an answer, ms */
  patienceMs: number;
  /** first pause before a second try, ms; it doubles */
  pauseMs: number;
  /** how long a service that failed again and again is left alone, ms */
  restMs: number;
}

/** Manners towards weather services. */
export const MANNERS: Manners = { patienceMs: 5000, pauseMs: 500, restMs: 10 * 60_000 };

const TRIES = 2;
const FAILURES_BEFORE_REST = 4;
const MOST_BYTES = 20_000_000;
/** Longest pause a busy service can ask for, ms. */
const LONGEST_REST_MS = 6 * 3_600_000;

/** The service did not answer properly; it may the next time. */
class NoAnswer extends NoWeather {}

/** What a service answered. */
export interface Answer {
  status: number;
  headers: Headers;
  text: string;
}

/**
 * An outside service: asked with a time limit, tried twice, and left alone for a while when it fails again and again or says
 * that it is busy. Failures are sentences for the gardener.
 */
export class Outside {
  private busyUntil = 0;
  private readonly policy;

  constructor(
    private readonly name: string,
    private readonly manners: Manners,
  ) {
    const failures = handleType(NoAnswer);
    this.policy = wrap(
      circuitBreaker(failures, {
        halfOpenAfter: manners.restMs,
        breaker: new ConsecutiveBreaker(FAILURES_BEFORE_REST),
      }),
      retry(failures, { maxAttempts: TRIES - 1, backoff: new ExponentialBackoff({ initialDelay: manners.pauseMs }) }),
    );
  }

  /**
   * Gets an address; `304` is an answer too.
   * @throws NoWeather with a sentence
   */
  async get(url: string, headers: Record<string, string> = {}): Promise<Answer> {
    if (Date.now() < this.busyUntil) throw new NoWeather(`${this.name} asked us to wait. We try again later.`);
    try {
      return await this.policy.execute(() => this.once(url, headers));
    } catch (error) {
      if (error instanceof BrokenCircuitError)
        throw new NoWeather(`${this.name} failed several times. We try again in a few minutes.`);
      throw error;
    }
  }

  private async once(url: string, headers: Record<string, string>): Promise<Answer> {
    const response = await this.within(fetch(url, { headers, signal: AbortSignal.timeout(this.manners.patienceMs) }));
    if (response.status === 429) {
      this.busyUntil = Date.now() + restOf(response.headers.get('retry-after'));
      await response.body?.cancel();
      throw new NoWeather(`${this.name} is busy and asked us to wait. We try again later.`);
    }
    if (response.status >= 500) {
      await response.body?.cancel();
      throw new NoAnswer(`${this.name} has a fault (${response.status}). We try again within the hour.`);
    }
    const text = await this.within(this.whole(response));
    if (response.status >= 400)
      throw new NoWeather(`${this.name} refused the request (${response.status}). Check the weather settings.`);
    return { status: response.status, headers: response.headers, text };
  }

  /** Reads an answer up to a limit. */
  private async whole(response: Response): Promise<string> {
    const parts: Uint8Array[] = [];
    let bytes = 0;
    for await (const part of (response.body ?? []) as AsyncIterable<Uint8Array>) {
      bytes += part.length;
      if (bytes > MOST_BYTES) throw new NoWeather(`${this.name} sent far more than was asked for.`);
      parts.push(part);
    }
    return Buffer.concat(parts).toString('utf8');
  }

  private async within<T>(work: Promise<T>): Promise<T> {
    try {
      return await work;
    } catch (error) {
      if (error instanceof NoWeather) throw error;
      const late = (error as { name?: string }).name === 'TimeoutError';
      throw new NoAnswer(
        late ? `${this.name} did not answer in time.` : `${this.name} can’t be reached. Check the internet connection.`,
      );
    }
  }
}

/** Returns the pause a busy service asks for, ms: seconds or a date; an hour if it does not say. */
function restOf(retryAfter: string | null): number {
  const seconds = Number(retryAfter ?? Number.NaN);
  const ms = Number.isFinite(seconds) ? seconds * 1000 : Date.parse(retryAfter ?? '') - Date.now();
  return Math.min(LONGEST_REST_MS, Math.max(1000, Number.isFinite(ms) ? ms : 3_600_000));
}

/** Reads JSON. @throws NoWeather if it was cut off or is something else */
export function asObject(name: string, text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new NoWeather(`The answer of ${name} was cut off or is not weather.`);
  }
}
