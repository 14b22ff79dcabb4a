import { useState, type ReactNode } from 'react';

interface Props {
  title: ReactNode;
  /** of the line that opens it */
  look: string;
  className?: string;
  open?: boolean;
  /** drawn when it is first opened */
  children: () => ReactNode;
}

/** Behind a touch, and not drawn before it: what is long would only make the page slow. */
export function Unfold({ title, look, className, open = false, children }: Props) {
  const [drawn, setDrawn] = useState(open);
  return (
    <details className={className} open={open} onToggle={(e) => e.currentTarget.open && setDrawn(true)}>
      <summary className={look}>{title}</summary>
      {(drawn || open) && children()}
    </details>
  );
}
