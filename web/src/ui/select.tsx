import clsx from 'clsx';
import { ChevronDown } from 'lucide-react';
import { lazy, type Ref, Suspense } from 'react';
import { fieldLook } from './field';
import { type SelectProps, triggerLook, wordsOfChosen } from './select-parts';
import { useMedia } from './use-media';

// no phone fetches it
const SelectList = lazy(() => import('./select-list'));

/** One of a list: the device's own under a finger, whose wheel or page is made for thumbs; a list in the theme under a mouse. */
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

/** The same before the list has come. */
function NotYet({ value, options, narrow, id }: SelectProps) {
  return (
    <button type="button" id={id} disabled className={triggerLook(narrow)}>
      <span className={clsx('truncate', !narrow && 'w-0 flex-1')}>{wordsOfChosen(options, value)}</span>
      <ChevronDown aria-hidden size={18} className="shrink-0 text-leaf" />
    </button>
  );
}
