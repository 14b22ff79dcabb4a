import { Check } from 'lucide-react';
import { Checkbox } from 'radix-ui';
import { type ReactNode, useId } from 'react';

interface Props {
  checked: boolean;
  onChange: (checked: boolean) => void;
  disabled?: boolean;
  children: ReactNode;
}

/** A checkbox with its label. */
export function CheckField({ checked, onChange, disabled, children }: Props) {
  const id = useId();
  return (
    <div className="flex min-h-11 items-start gap-2.5 py-1.5">
      <Checkbox.Root
        id={id}
        checked={checked}
        disabled={disabled}
        onCheckedChange={(now) => onChange(now === true)}
        // target as large as the line, box as large as a letter
        className="group -m-2.5 grid size-11 shrink-0 place-items-center rounded-lg disabled:opacity-50"
      >
        <span className="grid size-5.5 place-items-center rounded-md border-2 border-soft bg-card group-data-[state=checked]:border-leaf group-data-[state=checked]:bg-leaf">
          <Checkbox.Indicator>
            <Check aria-hidden size={16} strokeWidth={3} className="text-onleaf" />
          </Checkbox.Indicator>
        </span>
      </Checkbox.Root>
      <label htmlFor={id} className="cursor-pointer">
        {children}
      </label>
    </div>
  );
}
