import { type DateForm, formatterFor, METRIC } from '@candid-leaf/core/units';
import { CalendarDays, X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { DayPicker } from 'react-day-picker';
import 'react-day-picker/style.css';
import { Button, buttonLook } from './button';
import { Field } from './field';

/** A common year to show the days of: a frost day comes round every year. */
const YEAR = 2025;
const WEEKDAYS = { sunday: 0, monday: 1, saturday: 6 } as const;

interface Props {
  label: string;
  /** MM-DD; null: there is none */
  value: string | null;
  onChange: (monthDay: string | null) => void;
  dateForm: DateForm;
  weekStart: keyof typeof WEEKDAYS;
  /** said where there is none */
  none: string;
  /** the day is a guess, and is called so */
  about?: boolean | undefined;
  error?: string | undefined;
}

/** A day of the year, chosen on a calendar in the gardener's own form and week. */
export function MonthDayField({ label, value, onChange, dateForm, weekStart, none, about, error }: Props) {
  const [open, setOpen] = useState(false);
  const words =
    value === null ? none : `${about ? 'about ' : ''}${formatterFor(METRIC, dateForm).day(`${YEAR}-${value}`)}`;
  const at = value === null ? undefined : new Date(YEAR, Number(value.slice(0, 2)) - 1, Number(value.slice(3)));
  return (
    <Field label={label} error={error}>
      {(f) => (
        <div className="flex gap-1">
          <Popover.Root open={open} onOpenChange={setOpen}>
            <Popover.Trigger
              id={f.id}
              aria-label={`${label}: ${words}`}
              aria-describedby={f.describedBy}
              className={`${buttonLook('plain')} flex-1 justify-start`}
            >
              <CalendarDays aria-hidden size={18} /> {words}
            </Popover.Trigger>
            <Popover.Portal>
              <Popover.Content
                sideOffset={6}
                collisionPadding={12}
                aria-label={label}
                className="z-30 rounded-xl border border-line bg-card p-3 shadow-xl"
              >
                <DayPicker
                  mode="single"
                  autoFocus
                  selected={at}
                  defaultMonth={at ?? new Date(YEAR, 4)}
                  startMonth={new Date(YEAR, 0)}
                  endMonth={new Date(YEAR, 11)}
                  weekStartsOn={WEEKDAYS[weekStart]}
                  formatters={{ formatCaption: (month) => month.toLocaleString('en', { month: 'long' }) }}
                  onSelect={(day) => {
                    if (day)
                      onChange(
                        `${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`,
                      );
                    setOpen(false);
                  }}
                />
              </Popover.Content>
            </Popover.Portal>
          </Popover.Root>
          {value !== null && (
            <Button look="quiet" className="px-3" aria-label={`${label}: ${none}`} onClick={() => onChange(null)}>
              <X aria-hidden size={18} />
            </Button>
          )}
        </div>
      )}
    </Field>
  );
}
