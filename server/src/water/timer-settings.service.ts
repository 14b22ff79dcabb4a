import { Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { HoseTimerDto, HoseTimerInput } from '@candid-leaf/contract';
import type { DataSource } from 'typeorm';
import { CONFIG, type Config } from '../config.js';
import { GardensService } from '../gardens/gardens.service.js';
import { badRequest } from '../shared/http-errors.js';
import { HoseTimerEntity } from './timer.entities.js';

/**
 * A garden's timer settings. The gardener names the address and the server contacts it; so no one can make the server
 * probe the local network, only addresses allowed by the person who runs it are accepted.
 */
@Injectable()
export class TimerSettings {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    @Inject(CONFIG) private readonly config: Config,
    private readonly gardens: GardensService,
  ) {}

  of(gardenId: string): Promise<HoseTimerEntity | null> {
    return this.db.manager.findOneBy(HoseTimerEntity, { gardenId });
  }

  async get(gardenId: string): Promise<HoseTimerDto> {
    const timer = await this.of(gardenId);
    return { address: timer?.address ?? null, allowed: [...this.config.timerHosts] };
  }

  async put(gardenId: string, input: HoseTimerInput): Promise<HoseTimerDto> {
    const { timerHosts } = this.config;
    if (!timerHosts.includes(new URL(input.address).origin))
      throw badRequest([
        {
          path: 'address',
          reason:
            timerHosts.length > 0
              ? `this server may only contact timers at ${timerHosts.join(' and ')}; the person who runs it can allow others (TIMER_HOSTS)`
              : 'this server may not contact timers; the person who runs it can allow addresses (TIMER_HOSTS)',
        },
      ]);
    await this.gardens.change(gardenId, async (m) => {
      const old = await m.findOneBy(HoseTimerEntity, { gardenId });
      // a secret goes only to the address it was given for
      const kept = old?.address === input.address ? old.secret : null;
      const secret = input.secret ?? kept;
      if (!secret) throw badRequest([{ path: 'secret', reason: 'the timer at this address needs its secret' }]);
      await m.upsert(HoseTimerEntity, { gardenId, address: input.address, secret }, ['gardenId']);
    });
    return this.get(gardenId);
  }

  async remove(gardenId: string): Promise<void> {
    await this.gardens.change(gardenId, (m) => m.delete(HoseTimerEntity, { gardenId }));
  }
}
