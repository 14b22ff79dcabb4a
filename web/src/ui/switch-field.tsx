import { Switch } from 'radix-ui';
import { useId, type ReactNode } from 'react';

/** On or off, at once. */
export function SwitchField({
  checked,
  onChange,
  children,
}: {
  checked: boolean;
  onChange: (on: boolean) => void;
  children: ReactNode;
}) {
  const id = useId();
  return (
    <div className="flex min-h-11 items-center gap-3">
      <Switch.Root
        id={id}
        checked={checked}
        onCheckedChange={onChange}
        className="relative h-7 w-12 shrink-0 rounded-full border border-soft bg-paper before:absolute before:-inset-2 data-[state=checked]:border-leaf data-[state=checked]:bg-leaf"
      >
        <Switch.Thumb className="block size-5 translate-x-1 rounded-full bg-soft transition-transform data-[state=checked]:translate-x-6 data-[state=checked]:bg-card" />
      </Switch.Root>
      <label htmlFor={id} className="py-2">
        {children}
      </label>
    </div>
  );
}
