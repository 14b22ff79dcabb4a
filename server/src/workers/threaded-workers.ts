import type { OnApplicationShutdown } from '@nestjs/common';
import type { Config } from '../config.js';
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

  run(name: string, args: readonly unknown[]): Promise<string> {
    return this.threads.run(String(args[0]), name, args);
  }

  async onApplicationShutdown(): Promise<void> {
    await this.threads.end();
  }
}
