import type { ImportJobDto } from '@candid-leaf/contract';
import { QueryObserver, useQueryClient } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useState } from 'react';
import { cancelImport, importJobQuery } from '../../data/imports';
import { ApiError } from '../../lib/api';
import { importUnderWay, noteImport } from './import-under-way';

/**
 * The import that runs on the server: it goes on when this page is closed, and a page that comes back finds it.
 * @param onEnd called once with its outcome
 */
export function useImportJob(gardenId: string, onEnd: (job: ImportJobDto) => void) {
  const client = useQueryClient();
  const [id, setId] = useState(() => importUnderWay(gardenId));
  const [job, setJob] = useState<ImportJobDto | null>(null);
  const forget = (): void => {
    noteImport(gardenId, null);
    setId(null);
    setJob(null);
  };
  const heard = useEffectEvent(({ data, error }: { data: ImportJobDto | undefined; error: Error | null }) => {
    // too long ago, or in a garden that is gone
    if (error instanceof ApiError && error.status === 404) return forget();
    if (!data) return;
    if (data.state === 'running') return setJob(data);
    forget();
    onEnd(data);
  });
  useEffect(() => {
    if (id === null) return;
    return new QueryObserver(client, importJobQuery(gardenId, id)).subscribe((asked) => heard(asked));
  }, [client, gardenId, id]);
  return {
    /** null: none runs */
    rows: id === null ? null : (job?.rows ?? 0),
    name: job?.name ?? '',
    /** only a check does not go on without its page */
    goesOn: job !== null && !job.dry,
    begun: (job: ImportJobDto): void => {
      client.setQueryData(importJobQuery(gardenId, job.id).queryKey, job);
      setId(job.id);
    },
    cancel: async (): Promise<void> => {
      if (id === null) return;
      await cancelImport(gardenId, id);
      await client.invalidateQueries({ queryKey: importJobQuery(gardenId, id).queryKey });
    },
  };
}
