import { inputLook } from '../../../ui/field';

const CHOICES = [10, 20, 30, 60, 90];

/** "I have twenty minutes": the most useful first. */
export function Budget({ minutes, onChange }: { minutes: number | null; onChange: (minutes: number | null) => void }) {
  return (
    <label className="flex items-center gap-2 whitespace-nowrap">
      I have
      <select
        className={`${inputLook} w-auto`}
        value={minutes ?? ''}
        onChange={(e) => onChange(e.target.value === '' ? null : Number(e.target.value))}
      >
        <option value="">time for all</option>
        {CHOICES.map((m) => (
          <option key={m} value={m}>
            {m} minutes
          </option>
        ))}
      </select>
    </label>
  );
}
