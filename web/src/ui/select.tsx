import clsx from 'clsx';
import { ChevronDown } from 'lucide-react';
import { lazy, type Ref, Suspense } from 'react';
import { fieldLook } from './field';
import { useMedia } from './use-media';

// no phone fetches it
const SelectList = lazy(() => import('./select-list'));

/** Values and the words for them; '' stands for none. */
export type Options = readonly (readonly [value: string, words: string])[];

export interface SelectProps {
  value: string;
  onChange: (value: string) => void;
  options: Options;
  /** where no label stands before it */
  'aria-label'?: string;
  id?: string;
  'aria-describedby'?: string | undefined;
  'aria-invalid'?: boolean;
  disabled?: boolean | undefined;
  /** as wide as its words, not as the room it has */
  narrow?: boolean;
  /** where the form goes when its value is refused */
  ref?: Ref<HTMLElement>;
}

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

/** How the field of a list looks while it is closed. */
export const triggerLook = (narrow: boolean | undefined): string =>
  clsx(fieldLook, 'flex cursor-pointer items-center justify-between gap-2 text-left', !narrow && 'w-full');

export const wordsOf = (options: Options, value: string): string => options.find(([v]) => v === value)?.[1] ?? '';

/** The same before the list has come. */
function NotYet({ value, options, narrow, id }: SelectProps) {
  return (
    <button type="button" id={id} disabled className={triggerLook(narrow)}>
      <span className={clsx('truncate', !narrow && 'w-0 flex-1')}>{wordsOf(options, value)}</span>
      <ChevronDown aria-hidden size={18} className="shrink-0 text-leaf" />
    </button>
  );
}
