import { isPotted } from '@candid-leaf/core/records';
import type { PlaceDto } from '@candid-leaf/contract';
import type { SetUp } from '@candid-leaf/core/water';
import { useFormat } from '../../../lib/garden-context';
import { SelectField } from '../../../ui/select-field';

interface Props {
  place: PlaceDto;
  value: SetUp;
  set: (change: Partial<SetUp>) => void;
}

/** Parses a choice: its number, or "as now". */
const numberOrAsIs = (text: string): number | null => (text === '' ? null : Number(text));

/** Changes to the bed itself. */
export function ThePlaceIf({ place, value, set }: Props) {
  const format = useFormat();
  const isPot = isPotted(place);
  return (
    <div className="mt-2 grid grid-cols-2 gap-2">
      {isPot ? (
        <SelectField
          label="Pot"
          value={String(value.volumeL ?? '')}
          options={[
            ['', `${format.litres(place.volumeL ?? 10)}, as now`],
            ...[5, 10, 15, 20, 30, 40, 60].map((l): [string, string] => [String(l), format.litres(l)]),
          ]}
          onChange={(chosen) => set({ volumeL: numberOrAsIs(chosen) })}
        />
      ) : (
        <SelectField
          label="Mulch"
          value={value.mulchMm == null ? '' : String(value.mulchMm)}
          options={[
            ['', 'as now'],
            ['0', 'none'],
            ['60', format.centimetres(6)],
          ]}
          onChange={(chosen) => set({ mulchMm: numberOrAsIs(chosen) })}
        />
      )}
      <SelectField
        label="Shade"
        value={value.shadePct == null ? '' : String(value.shadePct)}
        options={[
          ['', 'as now'],
          ['0', 'none'],
          ['30', '30 %'],
          ['50', '50 %'],
        ]}
        onChange={(chosen) => set({ shadePct: numberOrAsIs(chosen) })}
      />
      {isPot && (
        <SelectField
          label="Mix"
          value={value.texture ?? ''}
          options={[
            ['', 'as now'],
            ['potting-mix', 'Potting mix'],
            ['porous-mix', 'Porous mix'],
          ]}
          onChange={(chosen) => set({ texture: (chosen || null) as SetUp['texture'] })}
        />
      )}
    </div>
  );
}
