import { Inject, Injectable } from '@nestjs/common';
import { isDay, type Day } from '@candid-leaf/core/units';
import { CONFIG, type Config } from '../config.js';

interface TimerProgram {
  flowLPerH: number;
  runs: { date: Day; start: string; minutes: number; times: number; waitMinutes: number }[];
}

/** A run in a hose timer's log: minutes and litres. */
export interface TimerLogged {
  date: Day;
  minutes: number;
  litres: number;
}

/** The timer to contact: its address, and the secret that identifies its gardener. */
export interface TimerOnTap {
  address: string;
  secret: string;
}

/** The one interface to a hose timer. Another make is another class. */
export abstract class HoseTimer {
  abstract write(timer: TimerOnTap, zone: number, program: TimerProgram): Promise<void>;
  abstract log(timer: TimerOnTap, zone: number, from: Day, to: Day): Promise<TimerLogged[]>;
}

const PATIENCE_MS = 5000;
const LONGEST_ANSWER = 100_000;

/** A timer that answers over HTTP with JSON. */
@Injectable()
export class HttpHoseTimer extends HoseTimer {
  constructor(@Inject(CONFIG) private readonly config: Config) {
    super();
  }

  async write(timer: TimerOnTap, zone: number, program: TimerProgram): Promise<void> {
    await this.ask(timer, `/zones/${zone}/program`, { method: 'PUT', body: JSON.stringify(program) });
  }

  async log(timer: TimerOnTap, zone: number, from: Day, to: Day): Promise<TimerLogged[]> {
    const list = await this.ask(timer, `/zones/${zone}/log?from=${from}&to=${to}`, {});
    if (!Array.isArray(list) || !list.every(isLogged)) throw new Error('the timer sent something that is not a log');
    return list.filter((run) => run.date >= from && run.date <= to);
  }

  private async ask({ address, secret }: TimerOnTap, path: string, init: RequestInit): Promise<unknown> {
    // checked again: the allowed addresses may have changed since it was entered
    if (!this.config.timerHosts.includes(new URL(address).origin))
      throw new Error('this server is no longer allowed to contact that address');
    const answer = await fetch(`${address.replace(/\/$/, '')}${path}`, {
      ...init,
      headers: { 'content-type': 'application/json', authorization: `Bearer ${secret}` },
      // an allowed address must not redirect to one that is not
      redirect: 'error',
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    if (answer.status === 401 || answer.status === 403)
      throw new Error('the timer rejected the secret: it belongs to someone else or was paired again');
    if (!answer.ok) throw new Error(`the timer answered ${answer.status}`);
    const text = await answer.text();
    if (text.length > LONGEST_ANSWER) throw new Error('the timer sent something that is not a log');
    return JSON.parse(text) as unknown;
  }
}

/** Timers are outside: their answers are validated like any input. */
function isLogged(run: unknown): run is TimerLogged {
  const { date, minutes, litres } = (run ?? {}) as Partial<TimerLogged>;
  return isDay(date) && within(minutes, 1440) && within(litres, 100_000);
}
const within = (n: unknown, most: number): boolean => typeof n === 'number' && n >= 0 && n <= most;
