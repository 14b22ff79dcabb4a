import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

/** A figure in words that opens to its meaning and source. */
export function Explained({ says, children }: { says: ReactNode; children: ReactNode }) {
  return (
    <Popover.Root>
      <Popover.Trigger className="-my-2.5 inline-flex min-h-11 min-w-11 cursor-pointer items-center justify-start underline decoration-soft decoration-dotted underline-offset-4">
        {says}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          className="z-50 max-w-80 rounded-xl border border-line bg-card p-4 text-left shadow-xl"
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
