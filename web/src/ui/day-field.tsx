import type { Day } from '@candid-leaf/core/units';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { useFormat, useGarden } from '../lib/garden-context';
import { CalendarField } from './calendar-field';

interface DayFieldProps {
  label: string;
  value: Day | null | undefined;
  onChange: (day: Day | null) => void;
  /** days before and after can't be chosen */
  min?: Day | undefined;
  max?: Day | undefined;
  error?: string | undefined;
  hint?: string | undefined;
  disabled?: boolean | undefined;
  className?: string | undefined;
  /** text for no day; with it the day can be removed */
  none?: string | undefined;
}

/** A date in the garden's format and week. */
export function DayField({ label, value, onChange, min, max, none, ...rest }: DayFieldProps) {
  const { today, weekStart } = useGarden();
  const format = useFormat();
  const day = value || null;
  const sameYear = day?.slice(0, 4) === today.slice(0, 4);
  return (
    <CalendarField
      {...rest}
      label={label}
      words={day === null ? (none ?? 'Choose') : sameYear ? format.day(day) : format.dayAndYear(day)}
      selected={day}
      opensAt={today}
      weekStart={weekStart}
      from={min}
      to={max}
      onPick={onChange}
      clear={none !== undefined && day !== null ? { label: none, onClear: () => onChange(null) } : null}
    />
  );
}

interface FormProps<T extends FieldValues> extends Omit<DayFieldProps, 'value' | 'onChange' | 'error'> {
  control: Control<T>;
  name: FieldPath<T>;
}

/** The same in a form. */
export function FormDayField<T extends FieldValues>({ control, name, ...rest }: FormProps<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <DayField {...rest} value={field.value} onChange={field.onChange} error={fieldState.error?.message} />
      )}
    />
  );
}
