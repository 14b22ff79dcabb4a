import type { EntityManager, EntityTarget, FindOptionsOrder, FindOptionsWhere } from 'typeorm';
import type { GardenRow } from './garden-row.entity.js';
import { badRequest } from './http-errors.js';
import { updateRows } from './rows.js';

interface Ordered extends GardenRow {
  position: number;
}

/** Puts rows in the given order. Every id must be one of `among`. */
export async function reorder<E extends Ordered>(
  m: EntityManager,
  target: EntityTarget<E>,
  ids: readonly string[],
  among: FindOptionsWhere<E>,
): Promise<void> {
  const known = new Map((await m.find(target, { where: among })).map((r) => [r.id, r.position]));
  const strange = ids.flatMap((id, i) =>
    known.has(id) ? [] : [{ path: `ids[${i}]`, reason: 'does not belong to this garden' }],
  );
  if (strange.length > 0) throw badRequest(strange);
  for (const [position, id] of ids.entries())
    if (known.get(id) !== position)
      await updateRows(m, target, { id } as FindOptionsWhere<E>, { position } as Partial<E>);
}

/** Returns the position of a new row: after the last. */
export async function nextPosition<E extends Ordered>(
  m: EntityManager,
  target: EntityTarget<E>,
  among: FindOptionsWhere<E>,
): Promise<number> {
  const order = { position: 'DESC' } as FindOptionsOrder<E>;
  const [last] = await m.find(target, { where: among, order, take: 1 });
  return (last?.position ?? -1) + 1;
}
