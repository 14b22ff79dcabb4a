import { Tooltip } from 'radix-ui';
import type { ReactNode } from 'react';

/** The name of what has only a picture, where a mouse or the keyboard is on it. */
export function Tip({ says, children }: { says: string; children: ReactNode }) {
  return (
    <Tooltip.Provider delayDuration={400}>
      <Tooltip.Root>
        <Tooltip.Trigger
          asChild
          // a mouse that closed what it had opened gives the focus back: that is no question
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
