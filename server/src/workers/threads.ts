import { Worker } from 'node:worker_threads';
import { Logger } from '@nestjs/common';
import { unavailable } from '../shared/http-errors.js';
import { errorOf } from './failure.js';
import { FairQueue, type Queued } from '../shared/fair-queue.js';
import type { Job, Said } from './messages.js';

/** Limits of the worker threads. */
export interface Limits {
  /** longest job, ms */
  jobMs: number;
  /** a thread silent for this long is stuck, ms */
  silenceMs: number;
  /** memory of a thread, MB */
  heapMb: number;
  /** the others begin this long after the first is ready, ms: a start answers as soon as one thread does */
  othersAfterMs: number;
}

/** Size of the young generation, MB; more makes nothing faster here. */
const YOUNG_MB = 12;
const USUAL: Limits = { jobMs: 12_000, silenceMs: 5000, heapMb: 170, othersAfterMs: 5000 };
/** A garden whose job ended a thread this often is paused for a while. */
const MOST_STRIKES = 2;
const LEFT_ALONE_MS = 60_000;
const FORGOTTEN_MS = 10 * 60_000;
const LONGEST_PAUSE_MS = 10_000;
/** Jobs of one thread at once: one computes while another waits for the database. */
const AT_ONCE = 2;
/** A job that takes longer probably computes: nothing else is put beside it. */
const SHORT_JOB_MS = 100;
/** A garden is slow if its last job took longer, or a job of it has been running for longer. */
const SLOW_MS = 400;
/** A small garden that takes as long only suffers from a busy machine; it is slow from here on, ms. */
const SLOW_THOUGH_SMALL_MS = 2000;
const MOST_REMEMBERED = 10_000;
/** Jobs of one account that may wait; more are asked to retry. */
const MOST_WAITING = 200;
const LOOK_AGAIN_MS = 20;

/** A job, from the moment it is asked for until it is answered. */
interface Asked extends Queued {
  gardenId: string;
  name: string;
  args: readonly unknown[];
  resolve: (json: string) => void;
  reject: (error: Error) => void;
  /** when a thread took it, ms; 0 while it waits */
  startedAt: number;
  timer: NodeJS.Timeout | null;
}

/** One worker thread. If stuck, dead or out of memory it is replaced; its pending jobs get a 503. */
class Thread {
  private worker!: Worker;
  private heard = Date.now();
  private looked = Date.now();
  private next = 1;
  private deaths = 0;
  private ended = false;
  ready = false;
  /** false between the end of one and the start of the next */
  private alive = false;
  private readonly running = new Map<number, Asked>();
  private readonly watch: NodeJS.Timeout;

  constructor(
    private readonly file: URL,
    private readonly data: unknown,
    private readonly limits: Limits,
    private readonly on: {
      /** gardens whose jobs ended the thread */
      strike: (gardenIds: readonly string[]) => void;
      /** a job has ended, or the thread is there again */
      free: () => void;
    },
    private readonly log: Logger,
  ) {
    this.begin();
    this.watch = setInterval(() => this.look(), limits.silenceMs / 4);
    this.watch.unref();
  }

  /** Jobs in progress, oldest first. */
  get jobs(): Asked[] {
    return [...this.running.values()];
  }
  /** Returns whether it takes another job: not while one of its jobs computes for long. */
  get takes(): boolean {
    const now = Date.now();
    return this.alive && this.running.size < AT_ONCE && this.jobs.every((job) => now - job.startedAt < SHORT_JOB_MS);
  }

  run(job: Asked): void {
    const id = this.next++;
    job.startedAt = Date.now();
    if (job.timer) clearTimeout(job.timer);
    job.timer = setTimeout(() => this.giveUp(id), this.limits.jobMs);
    this.running.set(id, job);
    this.worker.postMessage({ id, name: job.name, args: job.args } satisfies Job);
  }

  async end(): Promise<void> {
    this.ended = true;
    clearInterval(this.watch);
    for (const id of [...this.running.keys()]) this.fail(id);
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
      this.on.free();
      return;
    }
    const job = this.take(said.id);
    if (!job) return;
    if ('json' in said) job.resolve(said.json);
    else job.reject(errorOf(said.failure));
    this.on.free();
  }

  private take(id: number): Asked | null {
    const job = this.running.get(id);
    if (!job) return null;
    this.running.delete(id);
    if (job.timer) clearTimeout(job.timer);
    return job;
  }

  /** The caller is answered. The thread may still compute: it takes nothing else until it is done, or is replaced. */
  private giveUp(id: number): void {
    const job = this.running.get(id);
    if (!job) return;
    job.reject(tooLong());
    job.timer = setTimeout(() => {
      this.log.warn('a worker thread computes for too long; it is being replaced');
      void this.worker.terminate();
    }, this.limits.jobMs);
  }

  private look(): void {
    const now = Date.now();
    const late = now - this.looked > this.limits.silenceMs / 2;
    this.looked = now;
    // a late look means that this side stood still: what the thread said meanwhile has not been read yet
    if (late || !this.ready || now - this.heard < this.limits.silenceMs) return;
    this.log.warn('a worker thread is stuck; it is being replaced');
    void this.worker.terminate();
  }

  private replace(worker: Worker): void {
    if (this.ended || worker !== this.worker) return;
    // first of all: a job that waits would be given to the thread that has just ended
    this.ready = false;
    this.alive = false;
    this.on.strike([...new Set(this.jobs.map((job) => job.gardenId))]);
    for (const id of [...this.running.keys()]) this.fail(id);
    const pause = Math.min(LONGEST_PAUSE_MS, 100 * 2 ** this.deaths++);
    setTimeout(() => !this.ended && this.begin(), pause).unref();
  }

  private fail(id: number): void {
    this.take(id)?.reject(tooLong());
    this.on.free();
  }
}

const tooLong = (): Error =>
  unavailable('This garden is taking too long to calculate. Try again in a moment; sending it twice is safe.');

/** Whose turn a job takes, and which garden it is about. */
export interface JobFor {
  owner: string;
  gardenId: string;
}

/**
 * Worker threads. A garden is computed in its own thread, where it is cached; in another only while that one is busy for
 * someone else. Accounts take turns, and one account never gets the last thread. While a slow garden is computed, only
 * gardens known to be quick get it: a slow garden waits behind its own requests and other slow or new ones.
 */
export class Threads {
  private readonly threads: Thread[];
  private readonly queue = new FairQueue<Asked>(MOST_WAITING);
  private readonly strikes = new Map<string, { count: number; at: number }>();
  /** how long the last job of a garden took, ms */
  private readonly took = new Map<string, number>();
  /** gardens that are small by their size */
  private readonly small = new Set<string>();
  private readonly limits: Limits;
  private again: NodeJS.Timeout | null = null;
  private ended = false;
  private readonly another: () => Thread;
  private missing: number;
  private isHeavy: ((gardenId: string) => Promise<boolean>) | null = null;

  constructor(file: URL, data: unknown, count: number, limits: Partial<Limits> = {}) {
    const log = new Logger('Reckoning');
    this.limits = { ...USUAL, ...limits };
    const on = {
      strike: (ids: readonly string[]): void => this.strike(ids),
      free: (): void => {
        this.beginOthers();
        this.deal();
      },
    };
    this.another = () => new Thread(file, data, this.limits, on, log);
    this.missing = count - 1;
    this.threads = [this.another()];
  }

  get ready(): boolean {
    return this.threads.some((t) => t.ready);
  }

  async run({ owner, gardenId }: JobFor, name: string, args: readonly unknown[]): Promise<string> {
    const struck = this.strikes.get(gardenId);
    if (struck && struck.count >= MOST_STRIKES) {
      if (Date.now() < struck.at + LEFT_ALONE_MS)
        throw unavailable(
          'This garden could not be calculated twice in a row. We try again in a minute; nothing in it is lost.',
        );
      struck.count = MOST_STRIKES - 1; // retried once more
    }
    await this.weigh(gardenId);
    const json = await new Promise<string>((resolve, reject) => {
      const job: Asked = { owner, gardenId, name, args, resolve, reject, startedAt: 0, timer: null };
      if (this.ended || !this.queue.add(job)) return reject(tooLong());
      job.timer = setTimeout(() => {
        this.queue.remove(job);
        reject(tooLong());
      }, this.limits.jobMs);
      this.deal();
    });
    return json;
  }

  /** Sets how a garden is weighed that was not computed yet. */
  weighBy(isHeavy: (gardenId: string) => Promise<boolean>): void {
    this.isHeavy = isHeavy;
  }

  /** A garden's first job has no time to go by: its size says whether it may be slow. */
  private async weigh(gardenId: string): Promise<void> {
    if (!this.isHeavy || this.took.has(gardenId)) return;
    const heavy = await this.isHeavy(gardenId).catch(() => false);
    if (this.took.has(gardenId)) return;
    this.remember(gardenId, heavy ? SLOW_MS : 0);
    if (!heavy) this.small.add(gardenId);
  }

  private remember(gardenId: string, ms: number): void {
    if (this.took.size >= MOST_REMEMBERED) {
      this.took.clear();
      this.small.clear();
    }
    this.took.set(gardenId, ms);
  }

  async end(): Promise<void> {
    this.ended = true;
    if (this.again) clearTimeout(this.again);
    for (const job of this.queue.all) {
      if (job.timer) clearTimeout(job.timer);
      job.reject(tooLong());
    }
    await Promise.all(this.threads.map((t) => t.end()));
  }

  private beginOthers(): void {
    if (this.missing === 0 || !this.threads[0]?.ready) return;
    const count = this.missing;
    this.missing = 0;
    setTimeout(() => {
      for (let i = 0; i < count && !this.ended; i++) this.threads.push(this.another());
    }, this.limits.othersAfterMs).unref();
  }

  /** Gives waiting jobs to threads, until none is free or none may run. */
  private deal(): void {
    if (this.ended) return;
    for (;;) {
      const job = this.queue.take((j) => this.threadFor(j) !== null);
      if (!job) break;
      this.threadFor(job)!.run(this.timed(job));
    }
    // a thread that looked busy a moment ago may only have waited for the database
    if (this.queue.all.length > 0 && !this.again) {
      this.again = setTimeout(() => {
        this.again = null;
        this.deal();
      }, LOOK_AGAIN_MS);
      this.again.unref();
    }
  }

  /** Returns the thread that may take a job now; null: it waits. */
  private threadFor(job: Asked): Thread | null {
    const home = this.threads[hash(job.gardenId) % this.threads.length]!;
    if (this.threads.length === 1) return home.takes ? home : null;
    const busy = this.threads.flatMap((t) => t.jobs);
    const last = this.threads.length - 1;
    const heldBy = (which: (j: Asked) => boolean): number => this.threads.filter((t) => t.jobs.some(which)).length;
    const goesTo = home.takes ? home : this.besides(home, job);
    if (!goesTo) return null;
    const isNew = (which: (j: Asked) => boolean): boolean => !goesTo.jobs.some(which);
    if (busy.length > 0) {
      const own = (j: Asked): boolean => j.owner === job.owner;
      if (isNew(own) && heldBy(own) >= last) return null;
      const isQuick = (this.took.get(job.gardenId) ?? Infinity) < this.slowFrom(job.gardenId);
      const slow = (j: Asked): boolean => this.isSlow(j);
      if (!isQuick && isNew(slow) && heldBy(slow) >= last) return null;
    }
    return goesTo;
  }

  private slowFrom(gardenId: string): number {
    return this.small.has(gardenId) ? SLOW_THOUGH_SMALL_MS : SLOW_MS;
  }
  private isSlow(job: Asked): boolean {
    const slow = this.slowFrom(job.gardenId);
    return (this.took.get(job.gardenId) ?? 0) >= slow || Date.now() - job.startedAt >= slow;
  }

  /** Another thread, if the garden's own is busy for someone else. */
  private besides(home: Thread, job: Asked): Thread | null {
    if (home.jobs.some((j) => j.owner === job.owner)) return null;
    return this.threads.find((t) => t !== home && t.takes) ?? null;
  }

  /** Notes how long a garden takes. */
  private timed(job: Asked): Asked {
    const note = (): void => {
      this.remember(job.gardenId, Date.now() - job.startedAt);
    };
    const { resolve, reject } = job;
    job.resolve = (json) => {
      note();
      resolve(json);
    };
    job.reject = (error) => {
      note();
      reject(error);
    };
    return job;
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
