import { useWrite } from '../../ui/use-write';
import { deleteRecord, restoreRecord } from '../../data/records';

/** Deletes a record, then confirms and offers undo. */
export function useDeleteWithUndo(gardenId: string) {
  const remove = useWrite(deleteRecord, gardenId);
  const restore = useWrite(restoreRecord, gardenId);
  return (id: string, onDeleted?: () => void): void =>
    remove.mutate(
      { id },
      {
        said: 'Deleted.',
        undo: () => restore.mutate({ id }),
        ...(onDeleted ? { onSuccess: onDeleted } : {}),
      },
    );
}
