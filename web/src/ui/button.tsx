import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

type Look = 'main' | 'plain' | 'quiet' | 'urgent';

const LOOKS: Record<Look, string> = {
  main: 'bg-leaf text-onleaf hover:opacity-90',
  plain: 'border border-leaf text-leaf bg-card hover:bg-leafwash',
  quiet: 'text-leaf hover:bg-leafwash',
  urgent: 'bg-ripe text-onripe hover:opacity-90',
};

export const buttonLook = (look: Look = 'plain'): string =>
  clsx(
    'inline-flex min-h-11 items-center justify-center gap-2 rounded-lg px-4 py-1.5 font-semibold disabled:opacity-60',
    LOOKS[look],
  );

/** A button, at least 44 px high. */
export function Button({
  look = 'plain',
  className,
  type = 'button',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return <button type={type} className={clsx(buttonLook(look), className)} {...rest} />;
}
