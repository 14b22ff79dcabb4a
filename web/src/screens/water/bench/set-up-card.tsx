import type { PlaceDto } from '@candid-leaf/contract';
import { SCHOOLS, schoolsFor, type SetUp } from '@candid-leaf/core/water';
import { X } from 'lucide-react';
import { useGarden } from '../../../data/garden-context';
import { Button } from '../../../parts/button';
import { SelectField, TextField } from '../../../parts/field';

interface Props {
  letter: string;
  place: PlaceDto;
  value: SetUp;
  onChange: (s: SetUp) => void;
  onRemove: (() => void) | null;
}

export const habitsFor = (isPot: boolean): [SetUp['habit'], string][] => [
  ...schoolsFor(isPot).map((s): [SetUp['habit'], string] => [s, SCHOOLS[s].label]),
  ['timer', 'A timer, the same each time'],
  ['remembered', 'When I remember'],
  ['recorded', 'As I recorded it'],
];

const num = (text: string): number | null => (text.trim() === '' || Number.isNaN(Number(text)) ? null : Number(text));

/** One habit or change: what is left as it is needs no touch. */
export function SetUpCard({ letter, place, value, onChange, onRemove }: Props) {
  const { units } = useGarden();
  const isPot = place.kind === 'container';
  const set = (change: Partial<SetUp>) => onChange({ ...value, ...change });
  return (
    <fieldset className="rounded-2xl border border-line bg-card p-3">
      <legend className="px-1 font-head text-lg font-semibold">{letter}</legend>
      <div className="flex items-end gap-1">
        <TextField
          label="Name"
          className="flex-1"
          value={value.name}
          maxLength={60}
          onChange={(e) => set({ name: e.target.value })}
        />
        {onRemove && (
          <Button look="quiet" className="px-3" aria-label={`Leave out ${value.name}`} onClick={onRemove}>
            <X aria-hidden size={18} />
          </Button>
        )}
      </div>
      <SelectField
        label="Habit"
        className="mt-2"
        value={value.habit}
        options={habitsFor(isPot)}
        onChange={(e) => {
          const habit = e.target.value as SetUp['habit'];
          const named = habitsFor(isPot).find(([h]) => h === habit)![1];
          const own = habitsFor(isPot).some(([, words]) => words === value.name);
          set({ habit, ...(own || value.name === '' ? { name: named } : {}) });
        }}
      />
      {(value.habit === 'timer' || value.habit === 'remembered') && (
        <div className="mt-2 grid grid-cols-2 gap-2">
          {value.habit === 'timer' && (
            <TextField
              label="Every so many days"
              inputMode="numeric"
              value={value.everyDays ?? 3}
              onChange={(e) => set({ everyDays: num(e.target.value) })}
            />
          )}
          <TextField
            label="Litres a plant"
            hint="Empty: what those days use"
            inputMode="decimal"
            value={value.litres ?? ''}
            onChange={(e) => set({ litres: num(e.target.value) })}
          />
        </div>
      )}
      <div className="mt-2 grid grid-cols-2 gap-2">
        {isPot ? (
          <SelectField
            label="Pot"
            value={String(value.volumeL ?? '')}
            options={[
              ['', `${showLitres(place.volumeL ?? 10, units)}, as it is`],
              ...[5, 10, 15, 20, 30, 40, 60].map((l): [string, string] => [String(l), showLitres(l, units)]),
            ]}
            onChange={(e) => set({ volumeL: num(e.target.value) })}
          />
        ) : (
          <SelectField
            label="Mulch"
            value={value.mulchMm == null ? '' : String(value.mulchMm)}
            options={[
              ['', 'as it is'],
              ['0', 'none'],
              ['60', '6 cm (2.5 in)'],
            ]}
            onChange={(e) => set({ mulchMm: num(e.target.value) })}
          />
        )}
        <SelectField
          label="Shade"
          value={value.shadePct == null ? '' : String(value.shadePct)}
          options={[
            ['', 'as it is'],
            ['0', 'none'],
            ['30', '30 %'],
            ['50', '50 %'],
          ]}
          onChange={(e) => set({ shadePct: num(e.target.value) })}
        />
        {isPot && (
          <SelectField
            label="Mix"
            value={value.texture ?? ''}
            options={[
              ['', 'as it is'],
              ['potting-mix', 'Potting mix'],
              ['porous-mix', 'Porous mix'],
            ]}
            onChange={(e) => set({ texture: (e.target.value || null) as SetUp['texture'] })}
          />
        )}
      </div>
    </fieldset>
  );
}
