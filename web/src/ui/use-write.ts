import { onlineManager, useMutation, useQueryClient } from '@tanstack/react-query';
import { ApiError, NeedsSignal } from '../lib/api';
import type { OfGarden, Write } from '../lib/writes';
import { deliver } from '../offline/outbox';
import { faultsIn } from './faults';
import { useSay } from './toast';
import { sentence } from '../lib/words';

const KEPT = 'Saved on this device. It will sync when you’re back online.';

interface Then<Answer> {
  /** shown once it is done, and only then */
  said?: string | ((answer: Answer) => string);
  /** offered for ten seconds with the confirmation */
  undo?: (answer: Answer) => void;
  onSuccess?: (answer: Answer) => void;
}

/**
 * The one way to write. Writes of a garden run in order. Failures are shown, unless the caller uses `send` and shows
 * the reasons at its fields. The confirmation appears even if the touched element is gone by then: a finished task
 * leaves the list.
 */
export function useWrite<Input extends OfGarden, Answer>(write: Write<Input, Answer>, gardenId: string) {
  const say = useSay();
  const client = useQueryClient();
  const mutation = useMutation<Answer, Error, Input>({ mutationKey: [write.key], scope: { id: gardenId } });
  type Given = Omit<Input, 'gardenId'>;
  const sendOrKeep = (given: Given): Promise<{ answer: Answer; kept: boolean }> => {
    const input = { ...given, gardenId } as unknown as Input;
    if (!write.later && !onlineManager.isOnline()) return Promise.reject(new NeedsSignal());
    return deliver(client, write, input, () => mutation.mutateAsync(input));
  };
  const send = async (input: Given): Promise<Answer> => {
    const { answer, kept } = await sendOrKeep(input);
    if (kept) say(KEPT);
    return answer;
  };
  const mutate = (input: Given, then: Then<Answer> = {}): void => {
    void sendOrKeep(input).then(
      ({ answer, kept }) => {
        const { said, undo } = then;
        if (said || kept)
          say(
            [typeof said === 'function' ? said(answer) : said, kept ? KEPT : ''].filter(Boolean).join(' '),
            undo ? { undo: () => undo(answer) } : {},
          );
        then.onSuccess?.(answer);
      },
      (error: Error) => say(whyNot(error), { bad: true }),
    );
  };
  return { send, mutate, isPending: mutation.isPending, error: mutation.error };
}

/** A single field's reason says more than the general error. */
const whyNot = (error: Error): string => {
  const [first] = faultsIn(error);
  return error instanceof ApiError && first ? sentence(first.reason) : error.message;
};
