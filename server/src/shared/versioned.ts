import type { DeepPartial, EntityManager, EntityTarget, FindOptionsWhere, QueryDeepPartialEntity } from 'typeorm';
import { notFound, versionConflict } from './http-errors.js';
import type { GardenRow } from './garden-row.entity.js';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** Which row, and the version that its change was made on; none for a new one. */
export interface RowKey {
  id: string;
  gardenId: string;
  version?: number | undefined;
}

/**
 * Writes a row that a person made, so that sending the same write twice changes nothing:
 * no such id: it is made; the version given is the newest: it is changed; older, but the content is already the same: nothing;
 * older and different: 409. A row of another garden under this id is treated as not there (404).
 * @returns the row as it now stands
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
    const made = { ...content, ...onCreate, id: key.id, gardenId: key.gardenId, version: 1, deletedAt: null };
    const row = repo.create(made as unknown as DeepPartial<E>);
    await repo.insert(row as unknown as QueryDeepPartialEntity<E>);
    return row;
  }
  if (old.gardenId !== key.gardenId) throw notFound('row');
  const fields = Object.keys(content) as (keyof E)[];
  if (fields.every((f) => same(old[f], content[f]))) return old;
  if (key.version !== old.version || old.deletedAt) throw versionConflict();
  Object.assign(old, content, { version: old.version + 1 });
  await repo.save(old);
  return old;
}
