import { Worker } from 'node:worker_threads';
import { Logger } from '@nestjs/common';
import { unavailable } from '../shared/http-errors.js';
import { errorOf } from './failure.js';
import type { Job, Said } from './messages.js';

/** Limits of the worker threads. */
export interface Limits {
  /** longest job, ms */
  jobMs: number;
  /** a thread silent for this long is stuck, ms */
  silenceMs: number;
  /** memory of a thread, MB */
  heapMb: number;
}

/** Size of the young generation, MB; more makes nothing faster here. */
const YOUNG_MB = 12;
const USUAL: Limits = { jobMs: 12_000, silenceMs: 5000, heapMb: 170 };
/** A garden whose job ended a thread this often is paused for a while. */
const MOST_STRIKES = 2;
const LEFT_ALONE_MS = 60_000;
const FORGOTTEN_MS = 10 * 60_000;
const LONGEST_PAUSE_MS = 10_000;

interface Waiting {
  gardenId: string;
  resolve: (json: string) => void;
  reject: (error: Error) => void;
  timer: NodeJS.Timeout;
}

/** One worker thread. If stuck, dead or out of memory it is replaced; its pending jobs get a 503. */
class Thread {
  private worker!: Worker;
  private heard = Date.now();
  private next = 1;
  private deaths = 0;
  private ended = false;
  ready = false;
  /** false between the end of one and the start of the next */
  private alive = false;
  private readonly waiting = new Map<number, Waiting>();
  private readonly watch: NodeJS.Timeout;

  constructor(
    private readonly file: URL,
    private readonly data: unknown,
    private readonly limits: Limits,
    private readonly onStrike: (gardenIds: readonly string[]) => void,
    private readonly log: Logger,
  ) {
    this.begin();
    this.watch = setInterval(() => this.look(), limits.silenceMs / 4);
    this.watch.unref();
  }

  run(gardenId: string, name: string, args: readonly unknown[]): Promise<string> {
    if (!this.alive) return Promise.reject(tooLong());
    return new Promise((resolve, reject) => {
      const id = this.next++;
      const timer = setTimeout(() => this.fail(id), this.limits.jobMs);
      this.waiting.set(id, { gardenId, resolve, reject, timer });
      this.worker.postMessage({ id, name, args } satisfies Job);
    });
  }

  async end(): Promise<void> {
    this.ended = true;
    clearInterval(this.watch);
    for (const id of [...this.waiting.keys()]) this.fail(id);
    await this.worker.terminate();
  }

  private begin(): void {
    this.ready = false;
    this.heard = Date.now() + LONGEST_PAUSE_MS; // it has to load first
    const worker = new Worker(this.file, {
      workerData: this.data,
      resourceLimits: { maxOldGenerationSizeMb: this.limits.heapMb, maxYoungGenerationSizeMb: YOUNG_MB },
    });
    this.worker = worker;
    this.alive = true;
    worker.on('message', (said: Said) => this.hear(said));
    worker.on('error', (error) =>
      this.log.warn(`a worker thread: ${error.name} ${(error as { code?: string }).code ?? ''}`),
    );
    worker.on('exit', () => this.replace(worker));
  }

  private hear(said: Said): void {
    this.heard = Math.max(this.heard, Date.now());
    if ('beat' in said) return;
    if ('ready' in said) {
      this.ready = true;
      this.deaths = 0;
      this.heard = Date.now();
      return;
    }
    const job = this.waiting.get(said.id);
    if (!job) return;
    this.waiting.delete(said.id);
    clearTimeout(job.timer);
    if ('json' in said) job.resolve(said.json);
    else job.reject(errorOf(said.failure));
  }

  private look(): void {
    if (!this.ready || Date.now() - this.heard < this.limits.silenceMs) return;
    this.log.warn('a worker thread is stuck; it is being replaced');
    void this.worker.terminate();
  }

  private replace(worker: Worker): void {
    if (this.ended || worker !== this.worker) return;
    this.onStrike([...new Set([...this.waiting.values()].map((w) => w.gardenId))]);
    for (const id of [...this.waiting.keys()]) this.fail(id);
    const pause = Math.min(LONGEST_PAUSE_MS, 100 * 2 ** this.deaths++);
    this.ready = false;
    this.alive = false;
    setTimeout(() => !this.ended && this.begin(), pause).unref();
  }

  private fail(id: number): void {
    const job = this.waiting.get(id);
    if (!job) return;
    this.waiting.delete(id);
    clearTimeout(job.timer);
    job.reject(
      unavailable('This garden is taking too long to calculate. Try again in a moment; sending it twice is safe.'),
    );
  }
}

const tooLong = (): Error =>
  unavailable('This garden is taking too long to calculate. Try again in a moment; sending it twice is safe.');

/** Worker threads, each responsible for its own gardens, so each garden is cached once. */
export class Threads {
  private readonly threads: Thread[];
  private readonly strikes = new Map<string, { count: number; at: number }>();

  constructor(file: URL, data: unknown, count: number, limits: Partial<Limits> = {}) {
    const log = new Logger('Reckoning');
    const strike = (ids: readonly string[]): void => this.strike(ids);
    this.threads = Array.from({ length: count }, () => new Thread(file, data, { ...USUAL, ...limits }, strike, log));
  }

  get ready(): boolean {
    return this.threads.every((t) => t.ready);
  }

  async run(gardenId: string, name: string, args: readonly unknown[]): Promise<string> {
    const struck = this.strikes.get(gardenId);
    if (struck && struck.count >= MOST_STRIKES) {
      if (Date.now() < struck.at + LEFT_ALONE_MS)
        throw unavailable(
          'This garden could not be calculated twice in a row. We try again in a minute; nothing in it is lost.',
        );
      struck.count = MOST_STRIKES - 1; // retried once more
    }
    return this.threads[hash(gardenId) % this.threads.length]!.run(gardenId, name, args);
  }

  async end(): Promise<void> {
    await Promise.all(this.threads.map((t) => t.end()));
  }

  private strike(gardenIds: readonly string[]): void {
    const now = Date.now();
    for (const id of gardenIds) {
      const old = this.strikes.get(id);
      this.strikes.set(id, { count: (old && now - old.at < FORGOTTEN_MS ? old.count : 0) + 1, at: now });
    }
  }
}

const hash = (text: string): number => [...text].reduce((h, c) => (h * 31 + c.charCodeAt(0)) >>> 0, 7);
