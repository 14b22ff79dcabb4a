import { Inject, Injectable } from '@nestjs/common';
import type { Day } from '@candid-leaf/core/units';
import { CONFIG, type Config } from '../config.js';

export interface TimerProgram {
  flowLPerH: number;
  runs: { date: Day; start: string; minutes: number; times: number; waitMinutes: number }[];
}

export interface TimerLogged {
  date: Day;
  minutes: number;
  litres: number;
}

/** The one way to a timer on the tap. Another make is another class behind this. */
export abstract class HoseTimer {
  abstract write(zone: number, program: TimerProgram): Promise<void>;
  abstract log(zone: number, from: Day, to: Day): Promise<TimerLogged[]>;
}

const PATIENCE_MS = 5000;

/** A timer that answers over HTTP with JSON. */
@Injectable()
export class HttpHoseTimer extends HoseTimer {
  constructor(@Inject(CONFIG) private readonly config: Config) {
    super();
  }

  async write(zone: number, program: TimerProgram): Promise<void> {
    await this.ask(`/zones/${zone}/program`, { method: 'PUT', body: JSON.stringify(program) });
  }

  async log(zone: number, from: Day, to: Day): Promise<TimerLogged[]> {
    const list = await this.ask(`/zones/${zone}/log?from=${from}&to=${to}`, {});
    if (!Array.isArray(list)) throw new Error('the timer sent something that is not a log');
    return list as TimerLogged[];
  }

  private async ask(path: string, init: RequestInit): Promise<unknown> {
    if (!this.config.timerUrl) throw new Error('no hose timer is set up');
    const answer = await fetch(`${this.config.timerUrl}${path}`, {
      ...init,
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    if (!answer.ok) throw new Error(`the timer answered ${answer.status}`);
    return answer.json();
  }
}
