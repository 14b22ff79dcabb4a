import { type DateForm, formatterFor, METRIC } from '@candid-leaf/core/units';
import { CalendarField } from './calendar-field';
import type { CalendarProps } from './calendar';

/** A common year for yearly dates. */
const YEAR = '2025';

interface Props {
  label: string;
  /** MM-DD; null: none */
  value: string | null;
  onChange: (monthDay: string | null) => void;
  dateForm: DateForm;
  weekStart: CalendarProps['weekStart'];
  /** text if none */
  none: string;
  /** an estimated day, shown with "about" */
  about?: boolean | undefined;
  error?: string | undefined;
}

/** A day of the year from a calendar in the gardener's format and week. */
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
