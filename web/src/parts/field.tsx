import clsx from 'clsx';
import { useId, type InputHTMLAttributes, type ReactNode, type SelectHTMLAttributes } from 'react';
import { Controller, type Control, type FieldErrors, type FieldPath, type FieldValues } from 'react-hook-form';

export const inputLook = 'min-h-11 w-full rounded-lg border border-soft/60 bg-card px-3 py-1.5 text-ink';

interface FrameProps {
  label: string;
  error?: string | undefined;
  hint?: string | undefined;
  children: (ids: { id: string; describedBy: string | undefined; invalid: boolean }) => ReactNode;
  className?: string | undefined;
}

/** A label over its field, with the reason underneath where something is wrong. */
export function Field({ label, error, hint, children, className }: FrameProps) {
  const id = useId();
  const describedBy = error ? `${id}-error` : hint ? `${id}-hint` : undefined;
  return (
    <div className={clsx('flex flex-col gap-1', className)}>
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {children({ id, describedBy, invalid: Boolean(error) })}
      {error ? (
        <p id={`${id}-error`} role="alert" className="text-ripe">
          {label} {error}
        </p>
      ) : (
        hint && (
          <p id={`${id}-hint`} className="text-sm text-soft">
            {hint}
          </p>
        )
      )}
    </div>
  );
}

type InputProps = Omit<InputHTMLAttributes<HTMLInputElement>, 'id'> & {
  label: string;
  error?: string | undefined;
  hint?: string | undefined;
};
export function TextField({ label, error, hint, className, ...rest }: InputProps) {
  return (
    <Field label={label} error={error} hint={hint} className={className}>
      {(f) => (
        <input id={f.id} aria-describedby={f.describedBy} aria-invalid={f.invalid} className={inputLook} {...rest} />
      )}
    </Field>
  );
}

type SelectProps = Omit<SelectHTMLAttributes<HTMLSelectElement>, 'id'> & {
  label: string;
  error?: string | undefined;
  hint?: string | undefined;
  options: readonly (readonly [value: string, label: string])[];
};
export function SelectField({ label, error, hint, options, className, ...rest }: SelectProps) {
  return (
    <Field label={label} error={error} hint={hint} className={className}>
      {(f) => (
        <select id={f.id} aria-describedby={f.describedBy} aria-invalid={f.invalid} className={inputLook} {...rest}>
          {options.map(([value, text]) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

/** How a measure is shown: so many of ours in one of the gardener's. */
export interface Measure {
  symbol: string;
  per: number;
}

interface MeasureProps<T extends FieldValues> {
  control: Control<T>;
  name: FieldPath<T>;
  label: string;
  measure: Measure;
  hint?: string;
  className?: string;
}

const shown = (value: unknown, per: number): string | number =>
  typeof value === 'number' ? Number((value / per).toFixed(3)) : '';

/** A number with its unit: what is typed is the gardener's unit, what is kept is metric. Empty is "not known". */
export function MeasureField<T extends FieldValues>({
  control,
  name,
  label,
  measure,
  hint,
  className,
}: MeasureProps<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={`${label} (${measure.symbol})`}
          error={fieldState.error?.message}
          hint={hint}
          className={className}
        >
          {(f) => (
            <input
              id={f.id}
              aria-describedby={f.describedBy}
              aria-invalid={f.invalid}
              className={inputLook}
              type="number"
              inputMode="decimal"
              step="any"
              name={field.name}
              ref={field.ref}
              onBlur={field.onBlur}
              defaultValue={shown(field.value, measure.per)}
              onChange={(e) => field.onChange(e.target.value === '' ? null : e.target.valueAsNumber * measure.per)}
            />
          )}
        </Field>
      )}
    />
  );
}

/** Faults that no field on the form carries: shown together above the save button. */
export function OtherErrors({ errors, shown: fields }: { errors: FieldErrors; shown: readonly string[] }) {
  const rest = Object.entries(errors).filter(([name]) => !fields.includes(name));
  if (rest.length === 0) return null;
  return (
    <ul role="alert" className="text-ripe">
      {rest.map(([name, e]) => (
        <li key={name}>{String(e?.message ?? name)}</li>
      ))}
    </ul>
  );
}
