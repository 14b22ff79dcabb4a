import { Send, WifiOff } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { isStuck } from '../offline/outbox';
import type { Waiting } from '../offline/store';
import { whenAt } from './when-at';

// fetched when it is opened
const OutboxList = lazy(async () => ({ default: (await import('./outbox-list')).OutboxList }));

interface Props {
  list: readonly Waiting[];
  online: boolean;
  /** when the shown data was last updated, ms since 1970 */
  asOf: number | undefined;
}

/** Offline state, age of the data, and waiting changes; opens to a list. */
export function OutboxBar({ list, online, asOf }: Props) {
  const [open, setOpen] = useState(false);
  const aside = list.filter((w) => w.state === 'aside').length;
  const due = list.length - aside;
  const troubled = list.filter((w) => w.state === 'conflict' || w.state === 'refused' || isStuck(w));
  if (online && list.length === 0) return null;
  return (
    <div className="bg-ink text-paper print:hidden">
      <div className="mx-auto flex max-w-7xl items-center justify-between gap-x-3 px-3 sm:px-5">
        <p role="status" className="flex items-center gap-2 py-1.5">
          {online ? <Send aria-hidden size={18} /> : <WifiOff aria-hidden size={18} />}
          <span>
            {!online && `Offline. Showing your garden as of ${asOf ? whenAt(asOf) : 'the last time you opened it'}. `}
            {due > 0 && `${due} ${due === 1 ? 'change waiting' : 'changes waiting'} to sync.`}
            {aside > 0 && ` ${aside} set aside.`}
            {list.length === 0 && 'What you record is saved here and synced later.'}
            {troubled.length > 0 && ` ${troubled.length} ${troubled.length === 1 ? 'needs' : 'need'} a decision.`}
          </span>
        </p>
        {list.length > 0 && (
          <button
            type="button"
            className="min-h-11 shrink-0 px-2 font-semibold underline"
            onClick={() => setOpen(true)}
          >
            Review
          </button>
        )}
      </div>
      {open && list.length > 0 && (
        <Suspense>
          <OutboxList list={list} online={online} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </div>
  );
}
