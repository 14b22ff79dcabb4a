/** Something that waits for its turn. */
export interface Queued {
  /** whose turn it takes */
  owner: string;
}

/** Queues by owner that take turns: one owner's hundred jobs wait behind each other, not before anyone else's. */
export class FairQueue<T extends Queued> {
  private readonly queues = new Map<string, T[]>();

  constructor(private readonly mostEach: number) {}

  /** Returns false if this owner has too many waiting already. */
  add(job: T): boolean {
    const queue = this.queues.get(job.owner) ?? [];
    if (queue.length >= this.mostEach) return false;
    queue.push(job);
    this.queues.set(job.owner, queue);
    return true;
  }

  /**
   * Takes out the first job that may run, of the owner who has waited longest for a turn. An owner whose first job may not
   * run is passed over, and keeps its place.
   */
  take(may: (job: T) => boolean): T | null {
    for (const [owner, queue] of this.queues) {
      const at = queue.findIndex(may);
      if (at < 0) continue;
      const [job] = queue.splice(at, 1);
      // to the end of the line
      this.queues.delete(owner);
      if (queue.length > 0) this.queues.set(owner, queue);
      return job!;
    }
    return null;
  }

  remove(job: T): void {
    const queue = this.queues.get(job.owner);
    const at = queue?.indexOf(job) ?? -1;
    if (!queue || at < 0) return;
    queue.splice(at, 1);
    if (queue.length === 0) this.queues.delete(job.owner);
  }

  get all(): T[] {
    return [...this.queues.values()].flat();
  }
}
