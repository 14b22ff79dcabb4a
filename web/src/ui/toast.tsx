import { createContext, lazy, Suspense, useCallback, useContext, useState, type ReactNode } from 'react';
import type { Said } from './toasts';

// fetched with the first line that is said
const Toasts = lazy(async () => ({ default: (await import('./toasts')).Toasts }));

type Say = (text: string, more?: Pick<Said, 'undo' | 'bad'>) => void;
const SayContext = createContext<Say>(() => undefined);

/** Confirms an action in a line, and offers undo for ten seconds. */
export const useSay = () => useContext(SayContext);

export function ToastArea({ children }: { children: ReactNode }) {
  const [list, setList] = useState<Said[]>([]);
  const [used, setUsed] = useState(false);
  const say = useCallback<Say>((text, more = {}) => {
    setUsed(true);
    setList((old) => [...old.slice(-2), { id: Date.now() + Math.random(), text, ...more }]);
  }, []);
  const drop = useCallback((id: number) => setList((old) => old.filter((s) => s.id !== id)), []);
  return (
    <SayContext.Provider value={say}>
      {children}
      {used && (
        <Suspense>
          <Toasts list={list} onDrop={drop} />
        </Suspense>
      )}
    </SayContext.Provider>
  );
}
