import clsx from 'clsx';

interface Props {
  label: string;
  options: readonly (readonly [code: string, label: string])[];
  value: readonly string[];
  onChange: (value: string[]) => void;
  className?: string;
}

/** Any number of several, each switched on or off. */
export function Toggles({ label, options, value, onChange, className }: Props) {
  return (
    <fieldset className={className}>
      <legend className="font-semibold">{label}</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {options.map(([code, words]) => {
          const on = value.includes(code);
          return (
            <button
              key={code}
              type="button"
              aria-pressed={on}
              onClick={() => onChange(on ? value.filter((c) => c !== code) : [...value, code])}
              className={clsx(
                'min-h-11 rounded-lg border px-3',
                on ? 'border-leaf bg-leafwash font-semibold text-leaf' : 'border-soft/60',
              )}
            >
              {words}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}
