import { BEGINNING_BYTES, type FilePreview, type ImportPlan, type ImportReport } from '@candid-leaf/contract';
import type { TableName } from '@candid-leaf/core/tables';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { api, ApiError } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';
import { faultsIn } from '../../ui/faults';
import { sendFile } from './send-file';

export type Step = 'choose' | 'map' | 'tried' | 'done';

/** State of one import: preview, mapping, check, import. */
export function useImport(gardenId: string) {
  const client = useQueryClient();
  const [file, setFile] = useState<File | null>(null);
  const [preview, setPreview] = useState<FilePreview | null>(null);
  const [report, setReport] = useState<ImportReport | null>(null);
  const [step, setStep] = useState<Step>('choose');
  const [share, setShare] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [id, setId] = useState(() => uuid());
  const stop = useRef(new AbortController());

  const said = (error: unknown): void => {
    if (error instanceof DOMException) setTrouble('Cancelled. Nothing was changed.');
    else setTrouble(error instanceof ApiError && error.faults.length === 0 ? error.message : wordsOf(error as Error));
  };
  const look = async (chosen: File, table?: TableName): Promise<void> => {
    setTrouble(null);
    setReport(null);
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
    try {
      const path = `${apiOf(gardenId, 'imports', id)}?plan=${encodeURIComponent(JSON.stringify(plan))}`;
      const typed = new Blob([file], { type: 'text/csv' });
      const answer = await sendFile<ImportReport>('PUT', path, typed, {
        onProgress: setShare,
        signal: stop.current.signal,
      });
      setReport(answer);
      const stayedOut = more.dry || (answer.faulty > 0 && !more.skipFaulty) || answer.good === 0;
      setStep(stayedOut ? 'tried' : 'done');
      if (!stayedOut) {
        void client.invalidateQueries({ queryKey: queryKeys.plan(gardenId) });
        await client.invalidateQueries({ queryKey: queryKeys.garden(gardenId) });
      }
    } catch (error) {
      said(error);
    } finally {
      setShare(null);
    }
  };
  return {
    id,
    step,
    preview,
    report,
    share,
    trouble,
    name: file?.name ?? '',
    look,
    /** switches to another table and guesses its columns */
    become: (table: TableName) => file && look(file, table),
    change: (more: Partial<FilePreview>) => {
      setPreview((p) => p && { ...p, ...more });
      setReport(null);
      setStep('map');
    },
    attempt: () => send({ dry: true }),
    bring: (skipFaulty: boolean) => send({ skipFaulty }),
    breakOff: () => stop.current.abort(),
    begin: () => {
      setFile(null);
      setPreview(null);
      setReport(null);
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
