import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { Toast } from 'radix-ui';
import { Button } from './button';

interface Said {
  id: number;
  text: string;
  undo?: (() => void) | undefined;
  bad?: boolean | undefined;
}

const UNDO_MS = 10_000;
const SayContext = createContext<(text: string, more?: { undo?: () => void; bad?: boolean }) => void>(() => undefined);

/** Confirms an action in a line, and offers undo for ten seconds. */
export const useSay = () => useContext(SayContext);

export function ToastArea({ children }: { children: ReactNode }) {
  const [list, setList] = useState<Said[]>([]);
  const say = useCallback((text: string, more: { undo?: () => void; bad?: boolean } = {}) => {
    setList((old) => [...old.slice(-2), { id: Date.now() + Math.random(), text, ...more }]);
  }, []);
  const drop = (id: number) => setList((old) => old.filter((s) => s.id !== id));
  return (
    <SayContext.Provider value={useMemo(() => say, [say])}>
      <Toast.Provider duration={UNDO_MS} label="What was just done">
        {children}
        {list.map((s) => (
          <Toast.Root
            key={s.id}
            onOpenChange={(open) => !open && drop(s.id)}
            className={`flex items-center justify-between gap-4 rounded-lg border px-4 py-2 shadow-lg ${s.bad ? 'border-ripe bg-card text-ripe' : 'border-line bg-card text-ink'}`}
          >
            <Toast.Description>{s.text}</Toast.Description>
            {s.undo ? (
              <Toast.Action altText="Undo what was just done" asChild>
                <Button look="quiet" onClick={s.undo}>
                  Undo
                </Button>
              </Toast.Action>
            ) : (
              <Toast.Close asChild>
                <Button look="quiet">Close</Button>
              </Toast.Close>
            )}
          </Toast.Root>
        ))}
        <Toast.Viewport className="fixed right-3 bottom-16 left-3 z-50 flex flex-col gap-2 sm:bottom-3 sm:left-auto sm:w-96" />
      </Toast.Provider>
    </SayContext.Provider>
  );
}
