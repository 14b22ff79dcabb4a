import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { Field } from './field';
import { Select } from './select';
import type { SelectProps } from './select-parts';

interface SelectFieldProps extends Pick<SelectProps, 'value' | 'onChange' | 'options' | 'disabled' | 'ref'> {
  label: string;
  error?: string | undefined;
  hint?: string | undefined;
  className?: string | undefined;
}

/** A list choice with its label. */
export function SelectField({ label, error, hint, className, ...rest }: SelectFieldProps) {
  return (
    <Field label={label} error={error} hint={hint} className={className}>
      {(f) => <Select {...rest} id={f.id} aria-describedby={f.describedBy} aria-invalid={f.invalid} />}
    </Field>
  );
}

interface FormProps<T extends FieldValues> extends Omit<SelectFieldProps, 'value' | 'onChange' | 'error' | 'ref'> {
  control: Control<T>;
  name: FieldPath<T>;
  /** value stored for a choice, if not its text */
  setValueAs?: (chosen: string) => unknown;
  onChosen?: () => void;
}

/** The same in a form. */
export function FormSelect<T extends FieldValues>({ control, name, setValueAs, onChosen, ...rest }: FormProps<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <SelectField
          {...rest}
          ref={field.ref}
          value={field.value == null ? '' : String(field.value)}
          onChange={(chosen) => {
            field.onChange(setValueAs ? setValueAs(chosen) : chosen);
            onChosen?.();
          }}
          error={fieldState.error?.message}
        />
      )}
    />
  );
}
