import type { GardenInput } from '@candid-leaf/contract';
import type { Day } from '@candid-leaf/core/units';
import { formatISO, parseISO } from 'date-fns';
import { DayPicker, type Matcher } from 'react-day-picker';
import 'react-day-picker/style.css';

const WEEKDAYS = { sunday: 0, monday: 1, saturday: 6 } as const;

export interface CalendarProps {
  selected: Day | null;
  /** where it opens without a selection */
  opensAt: Day;
  weekStart: GardenInput['weekStart'];
  /** days outside can't be chosen */
  from?: Day | undefined;
  to?: Day | undefined;
  /** a yearly date: the year is not shown */
  everyYear?: boolean | undefined;
  onPick: (day: Day) => void;
}

/** Years listed without limits. */
const YEARS = 10;

/** A month calendar in the gardener's week. */
export default function Calendar({ selected, opensAt, weekStart, from, to, everyYear, onPick }: CalendarProps) {
  const at = selected ? parseISO(selected) : undefined;
  const month = at ?? parseISO(opensAt);
  const outside: Matcher[] = [...(from ? [{ before: parseISO(from) }] : []), ...(to ? [{ after: parseISO(to) }] : [])];
  const year = month.getFullYear();
  return (
    <DayPicker
      mode="single"
      autoFocus
      selected={at}
      defaultMonth={month}
      startMonth={everyYear ? new Date(year, 0) : from ? parseISO(from) : new Date(year - YEARS, 0)}
      endMonth={everyYear ? new Date(year, 11) : to ? parseISO(to) : new Date(year + YEARS, 11)}
      weekStartsOn={WEEKDAYS[weekStart]}
      disabled={outside}
      {...(everyYear
        ? { formatters: { formatCaption: (shown: Date) => shown.toLocaleString('en', { month: 'long' }) } }
        : { captionLayout: 'dropdown' as const })}
      onSelect={(day) => day && onPick(formatISO(day, { representation: 'date' }))}
    />
  );
}
