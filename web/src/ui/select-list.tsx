import clsx from 'clsx';
import { Check, ChevronDown, ChevronUp } from 'lucide-react';
import { Select as Parts } from 'radix-ui';
import type { Ref } from 'react';
import { type SelectProps, triggerLook, wordsOfChosen } from './select-parts';

/** Radix reserves the empty string for "nothing chosen"; in our lists it is a choice. */
const NONE = '(none)';
const keyOf = (value: string): string => (value === '' ? NONE : value);

/** Marks that there is more above or below. */
const more =
  'pointer-events-none absolute inset-x-0 z-10 grid h-6 place-items-center from-card from-40% to-transparent text-leaf';

/** A themed list for mouse and keyboard. */
export default function SelectList({ value, onChange, options, narrow, disabled, ref, ...rest }: SelectProps) {
  const choose = (key: string): void => {
    const chosen = options.find(([v]) => keyOf(v) === key);
    if (chosen) onChange(chosen[0]);
  };
  return (
    <Parts.Root value={keyOf(value)} onValueChange={choose} disabled={disabled ?? false}>
      <Parts.Trigger {...rest} ref={ref as Ref<HTMLButtonElement>} className={triggerLook(narrow)}>
        {/* a long choice is cut and never widens the page */}
        <span className={clsx('truncate', !narrow && 'w-0 flex-1')}>
          <Parts.Value>{wordsOfChosen(options, value)}</Parts.Value>
        </span>
        <ChevronDown aria-hidden size={18} className="shrink-0 text-leaf" />
      </Parts.Trigger>
      <Parts.Portal>
        <Parts.Content
          position="popper"
          sideOffset={4}
          collisionPadding={12}
          className="relative z-50 max-h-[min(24rem,var(--radix-select-content-available-height))] min-w-(--radix-select-trigger-width) overflow-hidden rounded-xl border border-line bg-card p-1 shadow-xl"
        >
          {/* they come and go while scrolling: over the list, so no choice moves under a click */}
          <Parts.ScrollUpButton className={`${more} top-0 bg-linear-to-b`}>
            <ChevronUp aria-hidden size={16} />
          </Parts.ScrollUpButton>
          <Parts.Viewport>
            {options.map(([v, words]) => (
              <Parts.Item
                key={v}
                value={keyOf(v)}
                className="flex min-h-10 cursor-pointer items-center gap-2 rounded-lg py-1 pr-4 pl-8 text-ink outline-none data-highlighted:bg-leafwash data-[state=checked]:font-semibold"
              >
                <Parts.ItemIndicator className="-ml-6 w-4 shrink-0">
                  <Check aria-hidden size={16} className="text-leaf" />
                </Parts.ItemIndicator>
                <Parts.ItemText>{words}</Parts.ItemText>
              </Parts.Item>
            ))}
          </Parts.Viewport>
          <Parts.ScrollDownButton className={`${more} bottom-0 bg-linear-to-t`}>
            <ChevronDown aria-hidden size={16} />
          </Parts.ScrollDownButton>
        </Parts.Content>
      </Parts.Portal>
    </Parts.Root>
  );
}
