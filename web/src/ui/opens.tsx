import { lazy, startTransition, Suspense, useState, type ReactNode } from 'react';

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
  // the button that was touched, while its panel is open
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (): void => setAnchor(null);
  return (
    <>
      <button
        type="button"
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        aria-label={label}
        className={className}
        onClick={({ currentTarget }) => startTransition(() => setAnchor(anchor ? null : currentTarget))}
      >
        {button}
      </button>
      {anchor && (
        <Suspense>
          <Anchored anchor={anchor} onClose={close} label={label} className={panelClass}>
            {children(close)}
          </Anchored>
        </Suspense>
      )}
    </>
  );
}
