import { useEffect, useState } from 'react';
import type { CaseAsked, CaseRead } from '../../workers/case.worker';

/**
 * Reads a case file in a worker; null while reading.
 * @param onRead called with a text that could be read
 */
export function useCaseReading(
  text: string | null,
  { units, dateForm }: Pick<CaseAsked, 'units' | 'dateForm'>,
  onRead?: (text: string) => void,
): CaseRead | null {
  const [answer, setAnswer] = useState<{ to: string; read: CaseRead } | null>(null);
  useEffect(() => {
    if (text === null) return;
    const worker = new Worker(new URL('../../workers/case.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = (e: MessageEvent<CaseRead>) => {
      if (e.data.ok) onRead?.(text);
      setAnswer({ to: text, read: e.data });
    };
    worker.onerror = (e) =>
      setAnswer({ to: text, read: { ok: false, faults: [{ path: '(whole)', reason: e.message }] } });
    worker.postMessage({ text, units, dateForm } satisfies CaseAsked);
    return () => worker.terminate();
  }, [text, units, dateForm, onRead]);
  return answer && answer.to === text ? answer.read : null;
}
