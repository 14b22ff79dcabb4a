import type { Crop } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import type { ComponentProps } from 'react';
import { useGarden } from '../../../lib/garden-context';
import { SelectField } from '../../../ui/field';
import { kindsQuery } from '../queries';

type Props = Omit<ComponentProps<typeof SelectField>, 'label' | 'options'> & { crop: Crop };

/** Which of the gardener's own kinds it is. */
export function KindField({ crop, ...rest }: Props) {
  const garden = useGarden();
  const kinds = (useQuery(kindsQuery(garden.id)).data ?? []).filter((k) => k.crop === crop);
  // the list comes after the form: until then there is nothing to choose from
  return (
    <SelectField
      key={kinds.length}
      label="Kind"
      options={[
        ['', kinds.length > 0 ? 'not known' : 'none on the shelf yet'],
        ...kinds.map((k) => [k.id, k.name] as const),
      ]}
      {...rest}
    />
  );
}
