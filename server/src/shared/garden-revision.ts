import type { EntityManager } from 'typeorm';

const revisions = new WeakMap<EntityManager, string>();

/** Notes the revision under which a transaction writes its garden's rows. Only `GardensService.change` calls it. */
export const noteRevision = (m: EntityManager, revision: string): void => void revisions.set(m, revision);

/** Returns the revision for rows written in this transaction. A write outside `GardensService.change` is a bug. */
export function revisionOf(m: EntityManager): string {
  const revision = revisions.get(m);
  if (revision === undefined) throw new Error('rows of a garden may only be written inside GardensService.change');
  return revision;
}
