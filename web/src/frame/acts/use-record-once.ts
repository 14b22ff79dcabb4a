import type { RecordInput } from '@candid-leaf/contract';
import { v7 as uuid } from 'uuid';
import { useWrite } from '../../ui/use-write';
import { deleteRecord, saveRecord } from '../../data/records';

/** Records something with one touch, confirms it, and offers undo for ten seconds. */
export function useRecordOnce(gardenId: string) {
  const save = useWrite(saveRecord, gardenId);
  const remove = useWrite(deleteRecord, gardenId);
  const write = (record: Omit<RecordInput, 'id'>, said: string, onSuccess?: () => void): void => {
    const id = uuid();
    save.mutate(
      { record: { id, ...record } },
      { said, undo: () => remove.mutate({ id }), ...(onSuccess ? { onSuccess } : {}) },
    );
  };
  return { write, isPending: save.isPending };
}
