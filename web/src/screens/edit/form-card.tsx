import type { ReactNode } from 'react';

export function FormCard({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="rounded-2xl border border-line bg-card p-4">
      <legend className="-ml-1 px-1 font-head text-lg font-semibold">{title}</legend>
      <div className="grid gap-4 sm:grid-cols-2">{children}</div>
    </fieldset>
  );
}

/** Words for a list of codes: "clay-loam" reads "Clay loam". */
export const choices = (codes: readonly string[], unknown = true): [string, string][] => [
  ...(unknown ? ([['', 'not known']] as [string, string][]) : []),
  ...codes.map((c): [string, string] => [c, c.charAt(0).toUpperCase() + c.slice(1).replaceAll('-', ' ')]),
];
