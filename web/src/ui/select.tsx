import clsx from 'clsx';
import { ChevronDown } from 'lucide-react';
import { lazy, type Ref, Suspense } from 'react';
import { fieldLook } from './field';
import { type SelectProps, triggerLook, wordsOfChosen } from './select-parts';
import { useMedia } from './use-media';

// phones never load it
const SelectList = lazy(() => import('./select-list'));

/** A list choice: the device's own for touch, a themed list for mouse. */
export function Select(props: SelectProps) {
  const finger = useMedia('(pointer: coarse)');
  if (finger) return <OfTheDevice {...props} />;
  return (
    <Suspense fallback={<NotYet {...props} />}>
      <SelectList {...props} />
    </Suspense>
  );
}

function OfTheDevice({ value, onChange, options, narrow, ref, ...rest }: SelectProps) {
  return (
    <select
      {...rest}
      ref={ref as Ref<HTMLSelectElement>}
      value={value}
      onChange={(e) => onChange(e.target.value)}
      className={clsx(fieldLook, !narrow && 'w-full')}
    >
      {options.map(([v, words]) => (
        <option key={v} value={v}>
          {words}
        </option>
      ))}
    </select>
  );
}

/** The same until the list has loaded. */
function NotYet({ value, options, narrow, id }: SelectProps) {
  return (
    <button type="button" id={id} disabled className={triggerLook(narrow)}>
      <span className={clsx('truncate', !narrow && 'w-0 flex-1')}>{wordsOfChosen(options, value)}</span>
      <ChevronDown aria-hidden size={18} className="shrink-0 text-leaf" />
    </button>
  );
}
