import { Toast } from 'radix-ui';
import { Button } from './button';

/** Something that was said in a line. */
export interface Said {
  id: number;
  text: string;
  undo?: (() => void) | undefined;
  bad?: boolean | undefined;
}

const UNDO_MS = 10_000;

/** The lines that were said last, each with undo or close. */
export function Toasts({ list, onDrop }: { list: readonly Said[]; onDrop: (id: number) => void }) {
  return (
    <Toast.Provider duration={UNDO_MS} label="What was just done">
      {list.map((s) => (
        <Toast.Root
          key={s.id}
          onOpenChange={(open) => !open && onDrop(s.id)}
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
  );
}
