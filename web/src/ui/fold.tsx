import type { ReactNode } from 'react';
import { Unfold } from './unfold';
import { useWide } from './use-wide';

/** Content too long for a phone: open on a desk, folded on a phone. */
export function Fold({ title, className, children }: { title: string; className?: string; children: ReactNode }) {
  if (useWide()) return <div className={className}>{children}</div>;
  return (
    <Unfold className={className} look="card" title={title}>
      {/* the line just opened is the heading of what it holds */}
      {() => <div className="mt-2 [&>fieldset>legend]:sr-only [&>section>h2:first-child]:sr-only">{children}</div>}
    </Unfold>
  );
}
