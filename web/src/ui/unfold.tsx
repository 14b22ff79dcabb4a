import clsx from 'clsx';
import { ChevronRight } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { useState, type ReactNode } from 'react';

/** Styles of the opening line: an action, a note, a card, a panel head, a row of a list. */
const LOOKS = {
  act: 'min-h-11 py-2 font-semibold text-leaf',
  quiet: 'min-h-11 py-2 text-soft',
  card: 'min-h-12 w-full rounded-xl border border-line bg-card px-4 py-3 font-semibold',
  head: 'min-h-11 font-head text-xl font-semibold',
  line: 'min-h-12 min-w-0 flex-1 py-1.5 font-semibold',
  task: 'min-h-12 w-full min-w-0 py-1.5',
  lane: 'relative min-h-12 w-full flex-col items-stretch gap-0 py-1',
};

interface Props {
  title: ReactNode;
  look: keyof typeof LOOKS;
  className?: string | undefined;
  open?: boolean;
  /** it cannot be closed now */
  held?: boolean;
  /** stands beside the opening line and does not open it */
  beside?: ReactNode;
  /** drawn when first opened */
  children: () => ReactNode;
}

/** Content behind a touch, drawn only then, so long content costs nothing. Closed again, it keeps typed text. */
export function Unfold({ title, look, className, open: given = false, held = false, beside, children }: Props) {
  const [before, setBefore] = useState(given);
  const [asked, setOpen] = useState(given);
  const [drawn, setDrawn] = useState(given);
  if (before !== given) {
    setBefore(given);
    setOpen(given);
  }
  const open = asked || held;
  if (open && !drawn) setDrawn(true);
  const trigger = (
    <Collapsible.Trigger
      className={clsx('group inline-flex cursor-pointer items-center gap-1.5 text-left', LOOKS[look])}
    >
      <ChevronRight
        aria-hidden
        size={18}
        className={clsx(
          'shrink-0 text-leaf transition-transform group-data-[state=open]:rotate-90 motion-reduce:transition-none',
          look === 'task' && 'order-last ml-auto',
          look === 'lane' && 'absolute top-2 right-1',
        )}
      />
      {title}
    </Collapsible.Trigger>
  );
  return (
    <Collapsible.Root open={open} onOpenChange={setOpen} className={className}>
      {beside === undefined ? (
        trigger
      ) : (
        <div className="flex items-center gap-1">
          {trigger}
          {beside}
        </div>
      )}
      {drawn && (
        <Collapsible.Content forceMount className="data-[state=closed]:hidden">
          {children()}
        </Collapsible.Content>
      )}
    </Collapsible.Root>
  );
}
