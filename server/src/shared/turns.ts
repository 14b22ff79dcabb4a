import { FairQueue, type Queued } from './fair-queue.js';

interface Waiting extends Queued {
  begin: () => void;
}

/** Places for work that uses much memory. Owners take turns: one's hundred wait behind each other, not before anyone else. */
export class Turns {
  private readonly queue: FairQueue<Waiting>;
  private atWork = 0;

  /**
   * @param atOnce places
   * @param mostEach waiting for one owner
   * @param mostWaitMs longest wait for a place
   * @param busy the refusal, when no place comes free
   */
  constructor(
    private readonly atOnce: number,
    mostEach: number,
    private readonly mostWaitMs: number,
    private readonly busy: () => Error,
  ) {
    this.queue = new FairQueue(mostEach);
  }

  /**
   * Works once a place is free.
   * @throws the refusal if none comes free, or too many of this owner wait; what the work throws
   */
  async run<T>(owner: string, work: () => Promise<T>): Promise<T> {
    await this.place(owner);
    try {
      return await work();
    } finally {
      // the place is handed on, or given back
      const next = this.queue.take(() => true);
      if (next) next.begin();
      else this.atWork -= 1;
    }
  }

  private place(owner: string): Promise<void> {
    if (this.atWork < this.atOnce) {
      this.atWork += 1;
      return Promise.resolve();
    }
    return new Promise((resolve, reject) => {
      const turn: Waiting = {
        owner,
        begin: () => {
          clearTimeout(timer);
          resolve();
        },
      };
      const timer = setTimeout(() => {
        this.queue.remove(turn);
        reject(this.busy());
      }, this.mostWaitMs);
      if (this.queue.add(turn)) return;
      clearTimeout(timer);
      reject(this.busy());
    });
  }
}
