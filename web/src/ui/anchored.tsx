import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  /** the button that opened it */
  anchor: HTMLElement;
  onClose: () => void;
  label?: string | undefined;
  className?: string | undefined;
  children: ReactNode;
}

/** A small panel beside the button that opened it; the keyboard goes back there. */
export function Anchored({ anchor, onClose, label, className = 'w-80', children }: Props) {
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={{ current: anchor }} />
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          aria-label={label}
          className={`z-50 rounded-xl border border-line bg-card p-4 text-left shadow-xl ${className}`}
          onCloseAutoFocus={(e) => {
            e.preventDefault();
            anchor.focus();
          }}
          // its own button closes it by its own click
          onInteractOutside={(e) => anchor.contains(e.target as Node) && e.preventDefault()}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
