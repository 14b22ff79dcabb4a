import type { ProductKind } from '@candid-leaf/core/products';
import { useGarden } from '../../lib/garden-context';
import { TextField } from '../../ui/field';
import { SelectField } from '../../ui/select-field';
import { useProducts } from '../../data/use-products';
import { filledBy } from './filled-by';

interface Props {
  /** the record field with its name */
  name: string;
  label: string;
  kinds: readonly ProductKind[];
  value: string;
  error: string | undefined;
  /** the name alone, or with its label data */
  onChange: (filled: Record<string, unknown>) => void;
}

const OTHER = 'other';

/** Chooses a product: from the shed with its label data, or by a free name. */
export function ProductField({ name, label, kinds, value, error, onChange }: Props) {
  const products = useProducts(useGarden().id).filter((p) => kinds.includes(p.kind));
  const known = products.find((p) => p.name === value);
  const choose = (id: string) => {
    const product = products.find((p) => p.id === id);
    onChange(product ? filledBy(product) : { [name]: '' });
  };
  return (
    <>
      <SelectField
        label={label}
        className="col-span-2"
        value={known?.id ?? OTHER}
        options={[[OTHER, 'Something else'], ...products.map((p): [string, string] => [p.id, p.name])]}
        onChange={choose}
      />
      {!known && (
        <TextField
          label="Its name"
          className="col-span-2"
          value={value}
          error={error}
          onChange={(e) => onChange({ [name]: e.target.value })}
        />
      )}
    </>
  );
}
