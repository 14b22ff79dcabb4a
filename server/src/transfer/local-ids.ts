import { GARDEN_TABLES, WORDS } from './garden-tables.js';

const LOCAL = new RegExp(
  `^#(${GARDEN_TABLES.filter((t) => t.named)
    .map((t) => t.one)
    .join('|')})-[1-9]\\d*$`,
);
export const isLocal = (value: unknown): value is string => typeof value === 'string' && LOCAL.test(value);

/**
 * Ids within one file: `#plant-12` is its twelfth plant. The same garden has the same ones whatever ids a server gave it, so a garden that
 * went out and in again goes out the same.
 */
export class LocalIds {
  private readonly others = new Map<string, string>();
  private readonly counts = new Map<string, number>();

  /** The next id of a table, for the row that is known as `id` elsewhere. */
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
   * The same value with every id in it changed to its other form; in what people wrote none is looked for. One that is known nowhere (its row was
   * thrown away) is left out of lists, and is nothing elsewhere.
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
