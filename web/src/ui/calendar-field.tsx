import { CalendarDays, X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { lazy, Suspense, useState } from 'react';
import { buttonLook } from './button';
import type { CalendarProps } from './calendar';
import { Field } from './field';
import { IconButton } from './icon-button';

// rarely opened and large: loaded on demand
const Calendar = lazy(() => import('./calendar'));

interface Props extends CalendarProps {
  label: string;
  /** the day as formatted, or the text for none */
  words: string;
  error?: string | undefined;
  hint?: string | undefined;
  disabled?: boolean | undefined;
  className?: string | undefined;
  /** removes the day: label and action */
  clear?: { label: string; onClear: () => void } | null | undefined;
}

/** A date field with a calendar. */
export function CalendarField({ label, words, error, hint, disabled, className, clear, ...calendar }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Field label={label} error={error} hint={hint} className={className}>
      {(f) => (
        <div className="flex gap-1">
          <Popover.Root open={open} onOpenChange={setOpen}>
            <Popover.Trigger
              id={f.id}
              aria-label={`${label}: ${words}`}
              aria-describedby={f.describedBy}
              disabled={disabled}
              className={`${buttonLook('plain')} min-w-0 flex-1 justify-start px-3`}
            >
              <CalendarDays aria-hidden size={18} className="shrink-0" /> {words}
            </Popover.Trigger>
            <Popover.Portal>
              <Popover.Content
                sideOffset={6}
                collisionPadding={12}
                aria-label={label}
                className="z-50 min-h-76 min-w-80 rounded-xl border border-line bg-card p-3 shadow-xl"
              >
                <Suspense>
                  <Calendar
                    {...calendar}
                    onPick={(day) => {
                      calendar.onPick(day);
                      setOpen(false);
                    }}
                  />
                </Suspense>
              </Popover.Content>
            </Popover.Portal>
          </Popover.Root>
          {clear && !disabled && <IconButton icon={X} label={`${label}: ${clear.label}`} onClick={clear.onClear} />}
        </div>
      )}
    </Field>
  );
}
