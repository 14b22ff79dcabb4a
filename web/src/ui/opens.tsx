import { lazy, startTransition, Suspense, useRef, useState, type ReactNode } from 'react';

// fetched when first opened, so that the page comes sooner
const Anchored = lazy(async () => ({ default: (await import('./anchored')).Anchored }));

interface Props {
  /** what the button shows */
  button: ReactNode;
  /** name of the button and of what it opens, if its words do not say it */
  label?: string;
  className?: string;
  panelClass?: string;
  children: (close: () => void) => ReactNode;
}

/** A button that opens a small panel beside itself. */
export function Opens({ button, label, className, panelClass, children }: Props) {
  const own = useRef<HTMLButtonElement>(null);
  const [open, setOpen] = useState(false);
  const close = (): void => setOpen(false);
  return (
    <>
      <button
        ref={own}
        type="button"
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={label}
        className={className}
        onClick={() => startTransition(() => setOpen(!open))}
      >
        {button}
      </button>
      {open && own.current && (
        <Suspense>
          <Anchored anchor={own.current} onClose={close} label={label} className={panelClass}>
            {children(close)}
          </Anchored>
        </Suspense>
      )}
    </>
  );
}
