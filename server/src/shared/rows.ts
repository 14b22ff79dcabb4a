import { isDeepStrictEqual } from 'node:util';
import type { DeepPartial, EntityManager, EntityTarget, FindOptionsWhere, QueryDeepPartialEntity } from 'typeorm';
import type { GardenRow } from './garden-row.entity.js';
import { revisionOf } from './garden-revision.js';
import { notFound, versionConflict } from './http-errors.js';

/** Returns whether two values have the same content, whatever the order of fields and their class. */
export const sameContent = (a: unknown, b: unknown): boolean => isDeepStrictEqual(plain(a), plain(b));
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null));

/** A row and the version its change is based on; none for a new one. */
interface RowKey {
  id: string;
  gardenId: string;
  version?: number | undefined;
}

/**
 * Writes a row so that sending the same write twice changes nothing. No such id: created. Newest version: changed.
 * Older, same content: nothing. Older and different: 409. A creation that is sent again after someone's edit changes
 * nothing either: it was done. A row of another garden under this id counts as missing (404).
 * @returns the row as it is now
 */
export async function putVersioned<E extends GardenRow>(
  m: EntityManager,
  target: EntityTarget<E>,
  key: RowKey,
  content: Partial<E>,
  onCreate: Partial<E> = {},
): Promise<E> {
  const repo = m.getRepository(target);
  const old = await repo.findOne({
    where: { id: key.id } as FindOptionsWhere<E>,
    lock: { mode: 'pessimistic_write' },
  });
  if (!old) {
    if (key.version != null) throw notFound('row');
    const own = { id: key.id, gardenId: key.gardenId, version: 1, revision: revisionOf(m), deletedAt: null };
    const row = repo.create({ ...content, ...onCreate, ...own } as unknown as DeepPartial<E>);
    await repo.insert(row as unknown as QueryDeepPartialEntity<E>);
    return row;
  }
  if (old.gardenId !== key.gardenId) throw notFound('row');
  const fields = Object.keys(content) as (keyof E)[];
  if (fields.every((f) => sameContent(old[f], content[f]))) return old;
  if (key.version == null && (old.version > 1 || old.deletedAt)) return old;
  if (key.version !== old.version || old.deletedAt) throw versionConflict();
  Object.assign(old, content, { version: old.version + 1, revision: revisionOf(m) });
  await repo.save(old);
  return old;
}

/** Changes rows without a new version: their order, and whether they are archived. Returns the count. */
export async function updateRows<E extends GardenRow>(
  m: EntityManager,
  target: EntityTarget<E>,
  which: FindOptionsWhere<E>,
  change: Partial<E>,
): Promise<number> {
  const found = await m.countBy(target, which);
  if (found > 0)
    await m.update(target, which, { ...change, revision: revisionOf(m) } as unknown as QueryDeepPartialEntity<E>);
  return found;
}
