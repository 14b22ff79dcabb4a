import clsx from 'clsx';
import { ScrollArea } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  /** what is in it, for whoever goes through it with the keyboard */
  label: string;
  /** of what scrolls: how high it may be */
  className?: string;
  children: ReactNode;
}

const barLook =
  'flex touch-none p-0.5 select-none data-[orientation=horizontal]:h-2.5 data-[orientation=horizontal]:flex-col data-[orientation=vertical]:w-2.5';

/** What is wider or longer than its room, moved within it; its bars are there only where there is more. */
export function Scroller({ label, className, children }: Props) {
  return (
    <ScrollArea.Root type="auto" className="relative max-w-full overflow-hidden">
      <ScrollArea.Viewport tabIndex={0} role="group" aria-label={label} className={clsx('w-full pb-1', className)}>
        {children}
      </ScrollArea.Viewport>
      {(['horizontal', 'vertical'] as const).map((o) => (
        <ScrollArea.Scrollbar key={o} orientation={o} className={barLook}>
          <ScrollArea.Thumb className="relative flex-1 rounded-full bg-soft/50" />
        </ScrollArea.Scrollbar>
      ))}
    </ScrollArea.Root>
  );
}
