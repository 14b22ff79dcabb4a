import type { Fault } from './faults.js';

/** Limits on the shape of a request body. */
interface ShapeCaps {
  /** fields of one object */
  keys: number;
  depth: number;
  /** entries of one list */
  items: number;
  /** values in all */
  values: number;
}

/**
 * Limits on any body before a class validates it. The classes are strict about what they know; these caps keep what
 * they do not know cheap: reading an unknown key costs in proportion to all the others.
 */
export const BODY_CAPS: ShapeCaps = { keys: 60, depth: 10, items: 2000, values: 20_000 };
/** The same for a case file, whose lists are longer; its class limits each list. */
export const FILE_CAPS: ShapeCaps = { keys: 60, depth: 10, items: 5000, values: 400_000 };

/**
 * Names with a meaning in the language itself. They are refused: if dropped silently, the sender would think them
 * saved.
 */
const NEVER = new Set(['__proto__', 'constructor', 'prototype']);

/** Returns the faults of a parsed body's shape, at most one of each sort; if none, the classes may read it. */
export function shapeFaults(body: unknown, most: ShapeCaps = BODY_CAPS): Fault[] {
  let values = 0;
  const look = (value: unknown, path: string, depth: number): Fault | null => {
    values += 1;
    if (values > most.values) return { path, reason: `more than ${most.values} values in total` };
    if (typeof value === 'string')
      return value.isWellFormed() && !value.includes('\0')
        ? null
        : { path, reason: 'contains a broken or unprintable character' };
    if (value === null || typeof value !== 'object') return null;
    if (depth >= most.depth) return { path, reason: `is nested more than ${most.depth} levels deep` };
    if (Array.isArray(value)) {
      if (value.length > most.items) return { path, reason: `has more than ${most.items} entries` };
      return first(value.entries(), (item, i) => look(item, `${path}[${i}]`, depth + 1));
    }
    const entries = Object.entries(value);
    if (entries.length > most.keys) return { path, reason: `has more than ${most.keys} fields` };
    return first(entries, (item, name) => {
      const at = path === '' ? short(name) : `${path}.${short(name)}`;
      if (name === '' || NEVER.has(name) || !name.isWellFormed()) return { path: at, reason: 'is not a known field' };
      return look(item, at, depth + 1);
    });
  };
  if (body === null || typeof body !== 'object' || Array.isArray(body))
    return [{ path: '(whole)', reason: 'must be a JSON object' }];
  const fault = look(body, '', 0);
  return fault ? [{ ...fault, path: fault.path || '(whole)' }] : [];
}

function first<K>(items: Iterable<[K, unknown]>, look: (value: unknown, key: K) => Fault | null): Fault | null {
  for (const [key, value] of items) {
    const fault = look(value, key);
    if (fault) return fault;
  }
  return null;
}

/** Shortens a field's name in an answer: the sender must not decide its length. */
const short = (name: string): string =>
  name === '' ? '(no name)' : (name.length > 60 ? `${name.slice(0, 60)}…` : name).toWellFormed();
