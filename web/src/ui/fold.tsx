import clsx from 'clsx';
import type { ReactNode } from 'react';
import { useLocation } from 'react-router';
import { Unfold } from './unfold';
import { useWide } from './use-wide';

interface Props {
  title: string;
  className?: string;
  /** a link to it opens it */
  id?: string;
  /** something in it is wrong: it opens on a phone too */
  open?: boolean;
  /** folded on a desk too */
  everywhere?: boolean;
  children: ReactNode;
}

/** Content too long for a phone: open on a desk, folded on a phone. */
export function Fold({ title, className, id, open = false, everywhere = false, children }: Props) {
  const asked = useLocation().hash === `#${id}` || open;
  const wide = useWide();
  return (
    <div id={id} className={clsx(className, 'scroll-mt-36')}>
      {wide && !everywhere ? children : <Folded {...{ title, asked, children }} />}
    </div>
  );
}

function Folded({ title, asked, children }: Pick<Props, 'title' | 'children'> & { asked: boolean }) {
  return (
    <Unfold look="card" title={title} open={asked}>
      {/* the line just opened is the heading of what it holds */}
      {() => <div className="mt-2 [&>fieldset>legend]:sr-only [&>section>h2:first-child]:sr-only">{children}</div>}
    </Unfold>
  );
}
