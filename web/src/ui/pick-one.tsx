import clsx from 'clsx';
import { RadioGroup } from 'radix-ui';
import { type ReactNode, useId } from 'react';

interface PickOption {
  value: string;
  label: string;
  /** what it means, in a line */
  says?: string;
  /** drawn beside the label */
  picture?: ReactNode;
}

interface Props {
  label: string;
  /** empty: nothing chosen yet */
  value: string;
  options: readonly PickOption[];
  onChange: (value: string) => void;
  error?: string | undefined;
  className?: string;
}

/** One of several, each on its own line. */
export function PickOne({ label, value, options, onChange, error, className }: Props) {
  const id = useId();
  return (
    <div>
      <p id={id} className="mb-1 font-semibold">
        {label}
      </p>
      <RadioGroup.Root
        aria-labelledby={id}
        value={value}
        onValueChange={onChange}
        className={clsx('grid gap-1', className)}
      >
        {options.map((o) => (
          <RadioGroup.Item
            key={o.value}
            value={o.value}
            className={clsx(
              'flex min-h-11 items-center gap-2.5 rounded-lg border px-3 py-1.5 text-left leading-snug',
              o.value === value ? 'border-leaf bg-leafwash' : 'border-line hover:border-leaf',
            )}
          >
            <span
              aria-hidden
              className="flex size-5 shrink-0 items-center justify-center rounded-full border-2 border-soft bg-card"
            >
              <RadioGroup.Indicator className="block size-2.5 rounded-full bg-leaf" />
            </span>
            {o.picture}
            {o.says === undefined ? (
              o.label
            ) : (
              <span>
                {o.label}
                <span className="block text-sm text-soft">{o.says}</span>
              </span>
            )}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      {error && (
        <p role="alert" className="mt-1 text-ripe">
          {error}
        </p>
      )}
    </div>
  );
}
