import { Tooltip } from 'radix-ui';
import type { ReactNode } from 'react';

/** A tooltip for icons. */
export function Tip({ says, children }: { says: string; children: ReactNode }) {
  return (
    <Tooltip.Provider delayDuration={400}>
      <Tooltip.Root>
        <Tooltip.Trigger
          asChild
          // focus returned after closing a menu is not a question
          onFocus={(e) => {
            if (!e.currentTarget.matches(':focus-visible')) e.preventDefault();
          }}
        >
          {children}
        </Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={4}
            collisionPadding={8}
            className="pointer-events-none z-50 max-w-72 rounded-lg border border-line bg-card px-2.5 py-1 text-sm text-ink shadow-lg"
          >
            {says}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
