import clsx from 'clsx';
import { ScrollArea } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  /** its content, for keyboard users */
  label: string;
  /** maximum height for long content */
  tall?: string;
  children: ReactNode;
}

const barLook =
  'flex touch-none p-0.5 select-none data-[orientation=horizontal]:h-2.5 data-[orientation=horizontal]:flex-col data-[orientation=vertical]:w-2.5';

/** Scrolls content larger than its box; bars only if needed. */
export function Scroller({ label, tall, children }: Props) {
  return (
    <ScrollArea.Root type="auto" className="relative max-w-full overflow-hidden">
      <ScrollArea.Viewport tabIndex={0} role="group" aria-label={label} className={clsx('w-full pb-1', tall)}>
        {children}
      </ScrollArea.Viewport>
      <ScrollArea.Scrollbar orientation={tall ? 'vertical' : 'horizontal'} className={barLook}>
        <ScrollArea.Thumb className="relative flex-1 rounded-full bg-soft/50" />
      </ScrollArea.Scrollbar>
    </ScrollArea.Root>
  );
}
