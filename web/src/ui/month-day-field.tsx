import { type DateForm, formatterFor, METRIC } from '@candid-leaf/core/units';
import { CalendarField } from './calendar-field';
import type { CalendarProps } from './calendar';

/** A common year to show the days of: a frost day comes round every year. */
const YEAR = '2025';

interface Props {
  label: string;
  /** MM-DD; null: there is none */
  value: string | null;
  onChange: (monthDay: string | null) => void;
  dateForm: DateForm;
  weekStart: CalendarProps['weekStart'];
  /** said where there is none */
  none: string;
  /** the day is a guess, and is called so */
  about?: boolean | undefined;
  error?: string | undefined;
}

/** A day of the year, chosen on a calendar in the gardener's own form and week. */
export function MonthDayField({ label, value, onChange, dateForm, weekStart, none, about, error }: Props) {
  const day = value === null ? null : `${YEAR}-${value}`;
  return (
    <CalendarField
      label={label}
      words={day === null ? none : `${about ? 'about ' : ''}${formatterFor(METRIC, dateForm).day(day)}`}
      error={error}
      selected={day}
      opensAt={`${YEAR}-05-01`}
      weekStart={weekStart}
      everyYear
      onPick={(picked) => onChange(picked.slice(5))}
      clear={day === null ? null : { label: none, onClear: () => onChange(null) }}
    />
  );
}
