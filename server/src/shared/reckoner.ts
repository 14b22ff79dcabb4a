/** JSON, ready to be sent. It is text from where it was worked out to the wire: nobody in between takes it apart. */
export type Rendered<T> = string & { readonly of?: T };

const ignore = (): void => undefined;

/** Anything that may be asked for by name: its arguments and its answer can cross to another thread. */
type Work = (...args: never[]) => Promise<unknown>;

/**
 * Where the heavy work is done: whatever reads a garden whole and reckons on it. Rooms offer their work here by name, and ask
 * for it here; whether it is done in this thread or in another is not their business.
 */
export abstract class Reckoner {
  protected readonly offers = new Map<string, Work>();

  /** what is being read, and who waits for it to be read once more */
  private readonly flights = new Map<string, { now: Promise<string>; next: Promise<string> | null }>();

  /** Offers work under a name, and gives back how it is asked for. The first argument is the garden's id. */
  offer<A extends [gardenId: string, ...rest: unknown[]], R>(
    name: string,
    work: (...args: A) => Promise<R>,
  ): (...args: A) => Promise<Rendered<R>> {
    this.offers.set(name, work as unknown as Work);
    return (...args) => this.run(name, args);
  }

  /** The same for work that only reads: many who ask the same at once are answered together. */
  offerReading<A extends [gardenId: string, ...rest: unknown[]], R>(
    name: string,
    work: (...args: A) => Promise<R>,
  ): (...args: A) => Promise<Rendered<R>> {
    this.offers.set(name, work as unknown as Work);
    return (...args) => this.together(JSON.stringify([name, ...args]), () => this.run(name, args));
  }

  /**
   * Whoever asks while the same is being read waits until that is through, and then all who came meanwhile are answered by one reading more: it
   * begins after each of them asked, so it knows of whatever each has written before.
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

  /** May work be asked for yet? */
  get ready(): boolean {
    return true;
  }

  /** @throws what the work throws */
  abstract run(name: string, args: readonly unknown[]): Promise<string>;
}

/** Work that is done where it is asked for. */
export class ReckonHere extends Reckoner {
  async run(name: string, args: readonly unknown[]): Promise<string> {
    const work = this.offers.get(name);
    if (!work) throw new Error(`no handler is registered for "${name}"`);
    return JSON.stringify((await work(...(args as never[]))) ?? null);
  }
}
