import type { EntityManager, EntityTarget, FindOptionsOrder, FindOptionsWhere, QueryDeepPartialEntity } from 'typeorm';
import type { GardenRow } from './garden-row.entity.js';
import { badRequest } from './http-errors.js';

interface Ordered extends GardenRow {
  position: number;
}

/** Puts the named rows in the order given. Every id must be one of the rows that `among` holds. */
export async function reorder<E extends Ordered>(
  m: EntityManager,
  target: EntityTarget<E>,
  ids: readonly string[],
  among: FindOptionsWhere<E>,
): Promise<void> {
  const known = new Set((await m.find(target, { where: among })).map((r) => r.id));
  const strange = ids.flatMap((id, i) =>
    known.has(id) ? [] : [{ path: `ids[${i}]`, reason: 'is not one of this garden' }],
  );
  if (strange.length > 0) throw badRequest(strange);
  for (const [position, id] of ids.entries())
    await m.update(target, { id }, { position } as unknown as QueryDeepPartialEntity<E>);
}

/** Where a new row goes: after the last. */
export async function nextPosition<E extends Ordered>(
  m: EntityManager,
  target: EntityTarget<E>,
  among: FindOptionsWhere<E>,
): Promise<number> {
  const order = { position: 'DESC' } as FindOptionsOrder<E>;
  const [last] = await m.find(target, { where: among, order, take: 1 });
  return (last?.position ?? -1) + 1;
}
