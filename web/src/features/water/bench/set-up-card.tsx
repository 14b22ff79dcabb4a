import { isPotted } from '@candid-leaf/core/records';
import type { PlaceDto } from '@candid-leaf/contract';
import { WATERING_METHODS, methodsFor, type SetUp } from '@candid-leaf/core/water';
import { X } from 'lucide-react';
import { TextField } from '../../../ui/field';
import { SelectField } from '../../../ui/select-field';
import { MeasuredInput } from '../../../ui/measured-input';
import { ThePlaceIf } from './the-place-if';
import { IconButton } from '../../../ui/icon-button';

interface Props {
  /** 1 for the first */
  n: number;
  place: PlaceDto;
  value: SetUp;
  onChange: (s: SetUp) => void;
  onRemove: (() => void) | null;
}

const strategiesFor = (isPot: boolean): [SetUp['strategy'], string][] => [
  ...methodsFor(isPot).map((s): [SetUp['strategy'], string] => [s, WATERING_METHODS[s].label]),
  ['timer', 'A timer, always the same'],
  ['remembered', 'When I remember'],
  ['recorded', 'As I recorded it'],
];

const USUAL_EVERY_DAYS = 3;

/** One watering method or change; fields left alone need no touch. */
export function SetUpCard({ n, place, value, onChange, onRemove }: Props) {
  const isPot = isPotted(place);
  const set = (change: Partial<SetUp>) => onChange({ ...value, ...change });
  return (
    <fieldset className="rounded-2xl border border-line bg-card p-3">
      <legend className="px-1 font-head text-xl font-semibold">Set-up {n}</legend>
      <div className="flex items-end gap-1">
        <TextField
          label="Name"
          className="flex-1"
          value={value.name}
          maxLength={60}
          onChange={(e) => set({ name: e.target.value })}
        />
        {onRemove && <IconButton icon={X} label={`Remove ${value.name}`} onClick={onRemove} />}
      </div>
      <SelectField
        label="Watering method"
        className="mt-2"
        value={value.strategy}
        options={strategiesFor(isPot)}
        onChange={(chosen) => {
          const strategy = chosen as SetUp['strategy'];
          const named = strategiesFor(isPot).find(([code]) => code === strategy)![1];
          const own = strategiesFor(isPot).some(([, words]) => words === value.name);
          const everyDays = strategy === 'timer' && value.everyDays == null ? { everyDays: USUAL_EVERY_DAYS } : {};
          set({ strategy, ...everyDays, ...(own || value.name === '' ? { name: named } : {}) });
        }}
      />
      {(value.strategy === 'timer' || value.strategy === 'remembered') && (
        <div className="mt-2 grid grid-cols-2 gap-2">
          {value.strategy === 'timer' && (
            <MeasuredInput
              label="Every how many days"
              quantity="count"
              min={1}
              max={30}
              required
              value={value.everyDays}
              onChange={(everyDays) => set({ everyDays })}
            />
          )}
          <MeasuredInput
            label="Amount per plant each time"
            quantity="litres"
            hint="If empty: what it used in those days"
            min={0.1}
            max={100}
            value={value.litres}
            onChange={(litres) => set({ litres })}
          />
        </div>
      )}
      <ThePlaceIf place={place} value={value} set={set} />
    </fieldset>
  );
}
