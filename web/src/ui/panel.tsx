import clsx from 'clsx';
import { useId, type CSSProperties, type ReactNode } from 'react';

interface Props {
  /** its heading; a panel without one has a `label` for screen readers */
  title?: string;
  label?: string;
  /** larger: the page's main content */
  main?: boolean;
  /** framed: it asks for an answer */
  asking?: boolean;
  as?: 'section' | 'aside' | 'figure' | 'div';
  className?: string;
  style?: CSSProperties;
  children: ReactNode;
}

/** A card: one thing with its heading. */
export function Panel({ title, label, main, asking, as: Tag = 'section', className, style, children }: Props) {
  const id = useId();
  return (
    <Tag
      style={style}
      aria-label={title ? undefined : label}
      aria-labelledby={title ? id : undefined}
      className={clsx(
        'rounded-2xl bg-card',
        asking ? 'border-2 border-leaf' : 'border border-line',
        main ? 'p-5' : 'p-4',
        className,
      )}
    >
      {title && (
        <h2 id={id} className="text-xl">
          {title}
        </h2>
      )}
      {children}
    </Tag>
  );
}
