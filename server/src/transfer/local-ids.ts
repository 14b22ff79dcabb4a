import { GARDEN_TABLES, WORDS } from './garden-tables.js';

const LOCAL = new RegExp(
  `^#(${GARDEN_TABLES.filter((t) => t.named)
    .map((t) => t.one)
    .join('|')})-[1-9]\\d*$`,
);
/** Returns whether a value is an id within a file, such as `#plant-12`. */
export const isLocal = (value: unknown): value is string => typeof value === 'string' && LOCAL.test(value);

/**
 * Ids within one file: `#plant-12` is its twelfth plant. They do not depend on the server's ids, so a garden that is
 * exported, imported and exported again gives the same file.
 */
export class LocalIds {
  private readonly others = new Map<string, string>();
  private readonly counts = new Map<string, number>();

  /** Returns the next id of a table for a row known as `id` elsewhere. */
  next(one: string, id: string): string {
    const n = (this.counts.get(one) ?? 0) + 1;
    this.counts.set(one, n);
    const local = `#${one}-${n}`;
    this.others.set(id, local);
    return local;
  }

  set(from: string, to: string): void {
    this.others.set(from, to);
  }

  get(id: string): string | undefined {
    return this.others.get(id);
  }

  /**
   * Returns the value with every id converted; people's text is not searched. Unknown ids (their row was deleted) are
   * dropped from lists and null elsewhere.
   */
  change<T>(value: T, isId: (v: unknown) => boolean, key = ''): T {
    if (WORDS.has(key)) return value;
    if (isId(value)) return (this.others.get(value as string) ?? null) as T;
    if (Array.isArray(value))
      return value.map((v: unknown) => this.change(v, isId)).filter((v, i) => v !== null || value[i] === null) as T;
    if (value instanceof Date || typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, this.change(v as unknown, isId, k)])) as T;
  }
}
