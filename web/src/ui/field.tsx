import clsx from 'clsx';
import { useId, type InputHTMLAttributes, type ReactNode } from 'react';

export const fieldLook = 'min-h-11 rounded-lg border border-soft/60 bg-card px-3 py-1.5 text-ink';
export const inputLook = `${fieldLook} w-full`;

interface FrameProps {
  label: string;
  error?: string | undefined;
  hint?: string | undefined;
  children: (ids: { id: string; describedBy: string | undefined; invalid: boolean }) => ReactNode;
  className?: string | undefined;
}

/** A label over its field, with the error underneath. */
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
