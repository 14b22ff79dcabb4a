/** JSON, ready to be sent. It is text from where it was worked out to the wire: nobody in between takes it apart. */
export type Rendered<T> = string & { readonly of?: T };

/** Anything that may be asked for by name: its arguments and its answer can cross to another thread. */
type Work = (...args: never[]) => Promise<unknown>;

/**
 * Where the heavy work is done: whatever reads a garden whole and reckons on it. Rooms offer their work here by name, and ask
 * for it here; whether it is done in this thread or in another is not their business.
 */
export abstract class Reckoner {
  protected readonly offers = new Map<string, Work>();

  /** Offers work under a name, and gives back how it is asked for. The first argument is the garden's id. */
  offer<A extends [gardenId: string, ...rest: unknown[]], R>(
    name: string,
    work: (...args: A) => Promise<R>,
  ): (...args: A) => Promise<Rendered<R>> {
    this.offers.set(name, work as unknown as Work);
    return (...args) => this.run(name, args);
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
    if (!work) throw new Error(`nobody offers "${name}"`);
    return JSON.stringify((await work(...(args as never[]))) ?? null);
  }
}
