import type { PlaceOnView } from '@candid-leaf/contract';
import { Field, inputLook, TextField } from '../../ui/field';
import { SelectField } from '../../ui/select-field';
import { MeasuredInput } from '../../ui/measured-input';
import type { Asked } from './record-forms';
import { CheckField } from '../../ui/check-field';
import { FeedAmount } from './feed-amount';
import { ProductField } from './product-field';
import { SprayMix } from './spray-mix';
import { WaterAmount } from './water-amount';
import { Toggles } from '../../ui/toggles';

interface Props {
  asked: Asked;
  value: unknown;
  error: string | undefined;
  /** all values of the form, and the bed or pot they are about */
  said: Record<string, unknown>;
  ofPlace: boolean;
  at: PlaceOnView | undefined;
  onChange: (v: unknown) => void;
  /** several fields at once */
  onFill: (filled: Record<string, unknown>) => void;
}

const textOf = (value: unknown): string => (typeof value === 'string' ? value : '');

/** One field of a record form, by its type. */
export function AskedField({ asked, value, error, said, ofPlace, at, onChange, onFill }: Props) {
  switch (asked.as) {
    case 'number':
      return (
        <MeasuredInput
          label={asked.label}
          quantity={asked.quantity}
          min={0}
          value={value as number | null | undefined}
          error={error}
          onChange={onChange}
        />
      );
    case 'choice':
      return (
        <SelectField
          label={asked.label}
          options={asked.options}
          error={error}
          hint={asked.hint?.(textOf(value))}
          value={textOf(value)}
          onChange={onChange}
        />
      );
    case 'product':
      return (
        <ProductField
          name={asked.name}
          label={asked.label}
          kinds={asked.kinds}
          value={textOf(value)}
          error={error}
          onChange={onFill}
        />
      );
    case 'water':
      return (
        <WaterAmount value={said} ofPlace={ofPlace} at={at} error={error} onChange={(water) => onFill({ ...water })} />
      );
    case 'feed':
      return <FeedAmount value={said} ofPlace={ofPlace} at={at} error={error} onChange={(fed) => onFill({ ...fed })} />;
    case 'mix':
      return (
        <SprayMix
          // another label has another strength
          key={said.labelPerLitre == null ? '' : textOf(said.name)}
          value={said}
          error={error}
          onChange={(mixed) => onFill({ ...mixed })}
        />
      );
    case 'flag':
      return (
        <div className="col-span-2 -my-2">
          <CheckField checked={value === true} onChange={(on) => onChange(on || undefined)}>
            {asked.label}
          </CheckField>
        </div>
      );
    case 'several':
      return (
        <Toggles
          className="col-span-2"
          label={asked.label}
          options={asked.options}
          value={(value ?? []) as string[]}
          onChange={onChange}
        />
      );
    case 'text':
      return asked.long ? (
        <Field label={asked.label} error={error} className="col-span-2">
          {(f) => (
            <textarea
              id={f.id}
              rows={3}
              aria-describedby={f.describedBy}
              aria-invalid={f.invalid}
              className={inputLook}
              value={textOf(value)}
              onChange={(e) => onChange(e.target.value)}
            />
          )}
        </Field>
      ) : (
        <TextField
          label={asked.label}
          className="col-span-2"
          error={error}
          value={textOf(value)}
          onChange={(e) => onChange(e.target.value)}
        />
      );
  }
}
