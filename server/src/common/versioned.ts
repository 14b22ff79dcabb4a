import type { EntityManager, EntityTarget } from 'typeorm';
import { gone, stale } from './refusals.js';
import type { Owned } from './owned.entity.js';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/**
 * Writes a row that a person made, so that sending the same write twice changes nothing:
 * no such id: it is made; the version given is the newest: it is changed; older, but the content is already the same: nothing;
 * older and different: 409. A row of another garden under this id is treated as not there (404).
 * @returns the row as it now stands, and whether it was written
 */
export async function putVersioned<E extends Owned>(
  m: EntityManager,
  target: EntityTarget<E>,
  key: { id: string; gardenId: string; version?: number },
  content: Partial<E>,
  onCreate: Partial<E> = {},
): Promise<{ row: E; written: boolean }> {
  const repo = m.getRepository(target);
  const old = await repo.findOne({ where: { id: key.id } as never, lock: { mode: 'pessimistic_write' } });
  if (!old) {
    if (key.version != null) throw gone('row');
    const row = repo.create({
      ...content,
      ...onCreate,
      id: key.id,
      gardenId: key.gardenId,
      version: 1,
      deletedAt: null,
    } as never) as unknown as E;
    await repo.insert(row as never);
    return { row, written: true };
  }
  if (old.gardenId !== key.gardenId) throw gone('row');
  const fields = Object.keys(content) as (keyof E)[];
  if (fields.every((f) => same(old[f], content[f]))) return { row: old, written: false };
  if (key.version !== old.version || old.deletedAt) throw stale();
  Object.assign(old, content, { version: old.version + 1 });
  await repo.save(old as never);
  return { row: old, written: true };
}
