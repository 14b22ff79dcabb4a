import type { BenchRow } from '@candid-leaf/core/water';
import { useEffect, useRef, useState } from 'react';
import type { BenchAsked, BenchReply } from '../../../workers/bench.worker';

export type RunState =
  | { at: 'rest' }
  | { at: 'running'; done: number; of: number }
  | { at: 'done'; rows: BenchRow[]; tookMs: number }
  | { at: 'stopped' };

/** Runs the comparison in a worker; it can be stopped, and a new run ends the previous one. */
export function useBenchRun() {
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<RunState>({ at: 'rest' });
  const end = () => {
    worker.current?.terminate();
    worker.current = null;
  };
  useEffect(() => end, []);
  return {
    state,
    start: (asked: BenchAsked) => {
      end();
      setState({ at: 'running', done: 0, of: asked.weather === 'recorded' ? 1 : asked.years });
      const w = new Worker(new URL('../../../workers/bench.worker.ts', import.meta.url), { type: 'module' });
      worker.current = w;
      w.onmessage = (e: MessageEvent<BenchReply>) => {
        if ('rows' in e.data) {
          setState({ at: 'done', ...e.data });
          end();
        } else setState({ at: 'running', ...e.data });
      };
      w.onerror = () => {
        end();
        setState({ at: 'stopped' });
      };
      w.postMessage(asked);
    },
    stop: () => {
      end();
      setState({ at: 'stopped' });
    },
  };
}
