import clsx from 'clsx';
import { Progress } from 'radix-ui';

/** A share as a bar; its words are beside it. */
export function ShareBar({ label, percent, className }: { label: string; percent: number; className?: string }) {
  return (
    <Progress.Root
      aria-label={label}
      value={Math.round(percent)}
      className={clsx('h-2.5 overflow-hidden rounded-full border border-soft/50', className)}
    >
      <Progress.Indicator className="h-full bg-leaf" style={{ width: `${percent}%` }} />
    </Progress.Root>
  );
}
