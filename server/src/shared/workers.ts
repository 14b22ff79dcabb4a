/** JSON ready to send. It stays text from the worker to the wire: nothing in between parses it. */
export type Rendered<T> = string & { readonly of?: T };

const ignore = (): void => undefined;

/** Work callable by name: arguments and answer can cross to another thread. */
type Work = (...args: never[]) => Promise<unknown>;

/**
 * Where heavy work runs: everything that reads a whole garden. Modules offer work by name and call it here; the
 * thread does not matter to them.
 */
export abstract class Workers {
  protected readonly offers = new Map<string, Work>();

  /** reads in progress, and callers waiting for the next one */
  private readonly flights = new Map<string, { now: Promise<string>; next: Promise<string> | null }>();

  /** Offers work under a name and returns how to call it. The first argument is the garden's id. */
  offer<A extends [gardenId: string, ...rest: unknown[]], R>(
    name: string,
    work: (...args: A) => Promise<R>,
  ): (...args: A) => Promise<Rendered<R>> {
    this.offers.set(name, work as unknown as Work);
    return (...args) => this.run(name, args);
  }

  /** The same for read-only work: concurrent identical calls share one answer. */
  offerReading<A extends [gardenId: string, ...rest: unknown[]], R>(
    name: string,
    work: (...args: A) => Promise<R>,
  ): (...args: A) => Promise<Rendered<R>> {
    this.offers.set(name, work as unknown as Work);
    return (...args) => this.together(JSON.stringify([name, ...args]), () => this.run(name, args));
  }

  /**
   * Callers arriving during a read wait until it ends, then share one more read: it starts after each of them asked,
   * so it includes their writes.
   */
  private together(key: string, read: () => Promise<string>): Promise<string> {
    const flight = this.flights.get(key);
    if (flight) return (flight.next ??= flight.now.then(ignore, ignore).then(() => this.begin(key, read)));
    return this.begin(key, read);
  }

  private begin(key: string, read: () => Promise<string>): Promise<string> {
    const flight = { now: read(), next: null as Promise<string> | null };
    this.flights.set(key, flight);
    const through = (): void => {
      if (flight.next === null) this.flights.delete(key);
    };
    flight.now.then(through, through);
    return flight.now;
  }

  /** Returns whether work may be called yet. */
  get ready(): boolean {
    return true;
  }

  /** @throws what the work throws */
  abstract run(name: string, args: readonly unknown[]): Promise<string>;
}

/** Runs work in the calling thread. */
export class InlineWorkers extends Workers {
  async run(name: string, args: readonly unknown[]): Promise<string> {
    const work = this.offers.get(name);
    if (!work) throw new Error(`no handler is registered for "${name}"`);
    return JSON.stringify((await work(...(args as never[]))) ?? null);
  }
}
