import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { MeasuredInput, type MeasuredInputProps } from './measured-input';

interface FieldProps<T extends FieldValues> extends Omit<MeasuredInputProps, 'value' | 'onChange' | 'error' | 'name'> {
  control: Control<T>;
  name: FieldPath<T>;
}

/** A measured input in a form: empty means "not known". */
export function MeasuredField<T extends FieldValues>({ control, name, ...rest }: FieldProps<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <MeasuredInput
          {...rest}
          name={field.name}
          value={field.value}
          onChange={field.onChange}
          onBlur={field.onBlur}
          error={fieldState.error?.message}
        />
      )}
    />
  );
}
