import type { EntityManager, EntityTarget } from 'typeorm';
import { refuse } from './refusals.js';
import type { Owned } from './owned.entity.js';

interface Ordered extends Owned {
  position: number;
}

/** Puts the named rows in the order given. Every id must be a row of this garden (and of `within`, if given). */
export async function reorder<E extends Ordered>(
  m: EntityManager,
  target: EntityTarget<E>,
  gardenId: string,
  ids: readonly string[],
  within: object = {},
): Promise<void> {
  const rows = await m.find(target, { where: { gardenId, ...within } as never });
  const known = new Set(rows.map((r) => r.id));
  const strange = ids.flatMap((id, i) =>
    known.has(id) ? [] : [{ path: `ids[${i}]`, reason: 'is not one of this garden' }],
  );
  if (strange.length > 0) throw refuse(strange);
  for (const [position, id] of ids.entries()) await m.update(target, { id } as never, { position } as never);
}

/** Where a new row goes: after the last. */
export async function nextPosition<E extends Ordered>(
  m: EntityManager,
  target: EntityTarget<E>,
  where: object,
): Promise<number> {
  const last = await m.find(target, { where: where as never, order: { position: 'DESC' } as never, take: 1 });
  return (last[0]?.position ?? -1) + 1;
}
