import { BEGINNING_BYTES, type FilePreview, type ImportJobDto, type ImportPlan } from '@candid-leaf/contract';
import type { TableName } from '@candid-leaf/core/tables';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { api, ApiError } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';
import { faultsIn } from '../../ui/faults';
import { noteImport } from './import-under-way';
import { sendFile } from './send-file';
import { useImportJob } from './use-import-job';

export type Step = 'choose' | 'map' | 'tried' | 'done';

/** State of one import: preview, mapping, check, import. */
export function useImport(gardenId: string) {
  const client = useQueryClient();
  const [file, setFile] = useState<File | null>(null);
  const [preview, setPreview] = useState<FilePreview | null>(null);
  const [ended, setEnded] = useState<ImportJobDto | null>(null);
  const [step, setStep] = useState<Step>('choose');
  const [share, setShare] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [id, setId] = useState(() => uuid());
  const stop = useRef(new AbortController());
  const job = useImportJob(gardenId, (outcome) => {
    setShare(null);
    if (!outcome.report) return setTrouble(outcome.message);
    setEnded(outcome);
    const isIn = !outcome.dry && outcome.state === 'done';
    setStep(isIn ? 'done' : 'tried');
    if (!isIn) return;
    void client.invalidateQueries({ queryKey: queryKeys.plan(gardenId) });
    void client.invalidateQueries({ queryKey: queryKeys.garden(gardenId) });
  });

  const said = (error: unknown): void => {
    if (error instanceof DOMException) setTrouble('Cancelled. Nothing was changed.');
    else setTrouble(error instanceof ApiError && error.faults.length === 0 ? error.message : wordsOf(error as Error));
  };
  const look = async (chosen: File, table?: TableName): Promise<void> => {
    setTrouble(null);
    setEnded(null);
    setId(uuid());
    try {
      const path = `${apiOf(gardenId, 'imports', 'preview')}${table ? `?table=${table}` : ''}`;
      setPreview(await api<FilePreview>('POST', path, chosen.slice(0, BEGINNING_BYTES, 'text/csv')));
      setFile(chosen);
      setStep('map');
    } catch (error) {
      said(error);
    }
  };
  const send = async (more: Pick<ImportPlan, 'dry' | 'skipFaulty'>): Promise<void> => {
    if (!file || !preview) return;
    const { heads: _h, rows: _r, unclearDay: _u, ...reading } = preview;
    const plan: ImportPlan = { ...reading, name: file.name.slice(0, 120), ...more };
    stop.current = new AbortController();
    setTrouble(null);
    setShare(0);
    // noted before it is sent: a page that leaves at once still finds it
    if (!more.dry) noteImport(gardenId, id);
    try {
      const path = `${apiOf(gardenId, 'imports', id)}?plan=${encodeURIComponent(JSON.stringify(plan))}`;
      const typed = new Blob([file], { type: 'text/csv' });
      const begun = await sendFile<ImportJobDto>('PUT', path, typed, {
        onProgress: setShare,
        signal: stop.current.signal,
        async: true,
      });
      job.begun(begun);
    } catch (error) {
      noteImport(gardenId, null);
      setShare(null);
      said(error);
    }
  };
  return {
    step,
    preview,
    report: ended?.report ?? null,
    table: ended?.table ?? null,
    /** sent so far, 0 to 1, and rows read; null: nothing is under way */
    underWay:
      share === null && job.rows === null
        ? null
        : { share: job.rows === null ? share! : 1, rows: job.rows ?? 0, goesOn: job.goesOn },
    trouble,
    name: file?.name ?? ended?.name ?? job.name,
    look,
    hasFile: file !== null,
    /** switches to another table and guesses its columns */
    become: (table: TableName) => file && look(file, table),
    change: (more: Partial<FilePreview>) => {
      setPreview((p) => p && { ...p, ...more });
      setEnded(null);
      setStep('map');
    },
    attempt: () => send({ dry: true }),
    bring: (skipFaulty: boolean) => send({ skipFaulty }),
    breakOff: () => (job.rows === null ? stop.current.abort() : void job.cancel().catch(said)),
    begin: () => {
      setFile(null);
      setPreview(null);
      setEnded(null);
      setTrouble(null);
      setStep('choose');
    },
  };
}
export type ImportState = ReturnType<typeof useImport>;

const wordsOf = (error: Error): string =>
  faultsIn(error)
    .map((f) => [f.path.replace(/^columns\./, ''), f.reason].filter(Boolean).join(' '))
    .join('; ');
