import type { EntityManager } from 'typeorm';

const revisions = new WeakMap<EntityManager, string>();

/** Notes the revision that a transaction writes its garden's rows under. `GardensService.change` does this, nobody else. */
export const noteRevision = (m: EntityManager, revision: string): void => void revisions.set(m, revision);

/** The revision that rows written in this transaction carry. A write outside `GardensService.change` is a fault of ours. */
export function revisionOf(m: EntityManager): string {
  const revision = revisions.get(m);
  if (revision === undefined) throw new Error('rows of a garden may only be written inside GardensService.change');
  return revision;
}
