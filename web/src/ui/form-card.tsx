import type { ReactNode } from 'react';
import type { FieldErrors, FieldValues } from 'react-hook-form';

export function FormCard({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="rounded-2xl border border-line bg-card p-4">
      <legend className="-ml-1 px-1 font-head text-lg font-semibold">{title}</legend>
      <div className="grid gap-4 sm:grid-cols-2">{children}</div>
    </fieldset>
  );
}

/** What is wrong with the form as a whole, above its button. */
export function RootFault<T extends FieldValues>({ errors }: { errors: FieldErrors<T> }) {
  return errors.root?.message ? (
    <p role="alert" className="text-ripe">
      {errors.root.message}
    </p>
  ) : null;
}
