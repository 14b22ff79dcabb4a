import type { ReactNode } from 'react';
import { Opens } from './opens';

/** A figure in words that opens to its meaning and source. */
export function Explained({ says, children }: { says: ReactNode; children: ReactNode }) {
  return (
    <Opens
      button={says}
      className="-my-2.5 inline-flex min-h-11 min-w-11 cursor-pointer items-center justify-start underline decoration-soft decoration-dotted underline-offset-4"
      panelClass="max-w-80"
    >
      {() => children}
    </Opens>
  );
}
