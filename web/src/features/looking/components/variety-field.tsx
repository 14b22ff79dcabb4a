import type { Crop } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import type { Control, FieldPath, FieldValues } from 'react-hook-form';
import { useGarden } from '../../../lib/garden-context';
import { emptyIsUnknown } from '../../../ui/form-faults';
import { FormSelect } from '../../../ui/select-field';
import { varietiesQuery } from '../../../data/varieties';

interface Props<T extends FieldValues> {
  control: Control<T>;
  name: FieldPath<T>;
  crop: Crop;
}

/** Chooses one of the gardener's varieties. */
export function VarietyField<T extends FieldValues>({ control, name, crop }: Props<T>) {
  const garden = useGarden();
  const varieties = (useQuery(varietiesQuery(garden.id)).data ?? []).filter((k) => k.crop === crop);
  return (
    <FormSelect
      control={control}
      name={name}
      label="Variety"
      options={[
        ['', varieties.length > 0 ? 'not known' : 'no varieties yet'],
        ...varieties.map((k) => [k.id, k.name] as const),
      ]}
      {...emptyIsUnknown}
    />
  );
}
