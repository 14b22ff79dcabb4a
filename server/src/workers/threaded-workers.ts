import type { OnApplicationShutdown } from '@nestjs/common';
import type { Config } from '../config.js';
import { callingAccount } from '../shared/caller.js';
import { Workers } from '../shared/workers.js';
import { Threads } from './threads.js';

/** Runs jobs in worker threads, where the same modules offer the same work. */
export class ThreadedWorkers extends Workers implements OnApplicationShutdown {
  private readonly threads: Threads;

  constructor(config: Config) {
    super();
    this.threads = new Threads(new URL('./worker.js', import.meta.url), config, config.workers);
  }

  override get ready(): boolean {
    return this.threads.ready;
  }

  /** Sets how a garden is weighed that was not computed here yet. */
  weighBy(isHeavy: (gardenId: string) => Promise<boolean>): void {
    this.threads.weighBy(isHeavy);
  }

  run(name: string, args: readonly unknown[]): Promise<string> {
    const gardenId = String(args[0]);
    // without an account, as behind a calendar link, a garden stands for itself
    return this.threads.run({ owner: callingAccount() ?? gardenId, gardenId }, name, args);
  }

  async onApplicationShutdown(): Promise<void> {
    await this.threads.end();
  }
}
