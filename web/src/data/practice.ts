import type { PracticeAnswerInput, PracticeDto } from '@candid-leaf/contract';
import { type QueryClient, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { api } from '../lib/api';
import { queryKeys } from '../lib/query-keys';
import type { PracticeAsked, PracticeShown, PracticeReply } from '../workers/practice.worker';

/** The account's answers, whatever the garden. */
export const practiceQuery = queryOptions({
  queryKey: queryKeys.practice,
  queryFn: () => api<PracticeDto>('GET', '/practice'),
});

/** Draws and judges in its own worker; the same question always has the same answer. */
export const practiceCaseQuery = (asked: PracticeAsked) =>
  queryOptions({
    queryKey: [...queryKeys.practice, 'plant', asked] as const,
    queryFn: ({ signal }) => ask(asked, signal),
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });

function ask(asked: PracticeAsked, signal: AbortSignal): Promise<PracticeShown> {
  const worker = new Worker(new URL('../workers/practice.worker.ts', import.meta.url), { type: 'module' });
  return new Promise<PracticeShown>((resolve, reject) => {
    signal.addEventListener('abort', () => reject(new Error('cancelled')));
    worker.onmessage = ({ data }: MessageEvent<PracticeReply>) =>
      data.ok ? resolve(data.shown) : reject(new Error(data.why));
    worker.onerror = (e) => reject(new Error(e.message));
    worker.postMessage(asked);
  }).finally(() => worker.terminate());
}

/** Saves an answer to the account. */
export function useKeepAnswer() {
  const client: QueryClient = useQueryClient();
  return useMutation({
    mutationFn: (answer: PracticeAnswerInput) => api<PracticeDto>('PUT', '/practice', answer),
    onSuccess: (kept) => client.setQueryData(practiceQuery.queryKey, kept),
  });
}
