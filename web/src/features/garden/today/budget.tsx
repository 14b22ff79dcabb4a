import { Select } from '../../../ui/select';

const CHOICES = [10, 20, 30, 60, 90];

/** Time available: the most useful tasks first. */
export function Budget({ minutes, onChange }: { minutes: number | null; onChange: (minutes: number | null) => void }) {
  return (
    <Select
      aria-label="Time available"
      narrow
      value={minutes === null ? '' : String(minutes)}
      onChange={(chosen) => onChange(chosen === '' ? null : Number(chosen))}
      options={[['', 'No limit'], ...CHOICES.map((m): [string, string] => [String(m), `${m} minutes`])]}
    />
  );
}
