import type { ReactNode } from 'react';
import { Unfold } from './unfold';
import { useWide } from './use-wide';

/** Content too long for a phone: open on a desk, folded on a phone. */
export function Fold({ title, className, children }: { title: string; className?: string; children: ReactNode }) {
  if (useWide()) return <div className={className}>{children}</div>;
  return (
    <Unfold className={className} look="card" title={title}>
      {() => <div className="mt-2">{children}</div>}
    </Unfold>
  );
}
