import { SelectField } from '../../../ui/field';

const CHOICES = [10, 20, 30, 60, 90];

/** "I have twenty minutes": the most useful first. */
export function Budget({ minutes, onChange }: { minutes: number | null; onChange: (minutes: number | null) => void }) {
  return (
    <SelectField
      className="mt-2 max-w-44"
      label="I have"
      value={minutes ?? ''}
      onChange={(e) => onChange(e.target.value === '' ? null : Number(e.target.value))}
      options={[['', 'time for all'], ...CHOICES.map((m) => [String(m), `${m} minutes`] as const)]}
    />
  );
}
