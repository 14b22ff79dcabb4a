import type { ReactNode } from 'react';
import type { FieldErrors, FieldValues } from 'react-hook-form';

/** Form cards: stacked, or two columns if there is room. */
export const FormCards = ({ children }: { children: ReactNode }) => (
  <div className="@container">
    <div className="-mb-2 gap-4 @4xl:columns-2 *:mb-4 *:break-inside-avoid">{children}</div>
  </div>
);

export function FormCard({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="rounded-2xl border border-line bg-card p-4">
      <legend className="-ml-1 px-1 font-head text-xl font-semibold">{title}</legend>
      <div className="grid gap-4 sm:grid-cols-2">{children}</div>
    </fieldset>
  );
}

/** A form-level error, above its button. */
export function RootFault<T extends FieldValues>({ errors }: { errors: FieldErrors<T> }) {
  return errors.root?.message ? (
    <p role="alert" className="text-ripe">
      {errors.root.message}
    </p>
  ) : null;
}
