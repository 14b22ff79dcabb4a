import clsx from 'clsx';
import { ToggleGroup } from 'radix-ui';

interface Props<V extends string> {
  label: string;
  value: V;
  options: readonly (readonly [V, string])[];
  onChange: (value: V) => void;
  className?: string;
}

/** One of a few, side by side; exactly one is always chosen. */
export function Choice<V extends string>({ label, value, options, onChange, className }: Props<V>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(v) => v && onChange(v as V)}
      className={clsx('inline-flex overflow-hidden rounded-lg border border-leaf', className)}
    >
      {options.map(([v, words]) => (
        <ToggleGroup.Item
          key={v}
          value={v}
          className={clsx(
            'min-h-11 px-3.5 font-semibold not-first:border-l not-first:border-leaf',
            v === value ? 'bg-leaf text-onleaf' : 'bg-card text-leaf hover:bg-leafwash',
          )}
        >
          {words}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
